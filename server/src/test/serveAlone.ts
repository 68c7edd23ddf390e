// A server in a process of its own, for tests that kill it: the address of the database, and a port.
import { serve } from '../serve.ts';

const [databaseUrl = '', port = '0'] = process.argv.slice(2);
const serving = await serve({
  databaseUrl,
  port: Number(port),
  demo: 'none',
  report: (error) => process.stderr.write(`${String(error)}\n`),
});
process.stdout.write(`${serving.port}\n`);
