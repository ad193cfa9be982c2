import 'temporal-polyfill/global';
import { runCommand } from './commands';

/** The command line over the core: `npm run -s ow -- expand FILE.ics ...`. */
void runCommand(process.argv.slice(2), {
  out: (line) => process.stdout.write(`${line}\n`),
  error: (line) => process.stderr.write(`${line}\n`),
}).then((status) => {
  process.exitCode = status;
});
