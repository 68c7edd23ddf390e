// The command line, run from its sources: no build by hand.
import { enableTypeScript } from './lib/typescript.mjs';

try {
  await enableTypeScript();
} catch {
  process.stderr.write('The npm packages are not installed. Run: npm ci\n');
  process.exit(1);
}
const { main } = await import('../cli/src/main.ts');
process.exitCode = await main(process.argv.slice(2), {
  out: (text) => process.stdout.write(text),
  err: (text) => process.stderr.write(text),
});
