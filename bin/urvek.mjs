// The command line: put together from its sources where they have changed, with no build by hand.
import { commandLine } from './lib/cli.mjs';

let main;
try {
  ({ main } = await commandLine());
} catch (error) {
  process.stderr.write(
    error.code === 'ERR_MODULE_NOT_FOUND'
      ? 'The npm packages are not installed. Run: npm ci\n'
      : `Urvek could not be put together: ${error.message}\n`,
  );
  process.exit(1);
}
process.exitCode = await main(process.argv.slice(2), {
  out: (text) => process.stdout.write(text),
  err: (text) => process.stderr.write(text),
});
