import { Command, CommanderError } from 'commander';
import { isBadInput } from './badInput.ts';
import type { GearOptions } from './gear.ts';
import type { ProbeOptions } from './probe.ts';

/** Where a command writes; passed in, so that tests can read it. */
export interface Output {
  readonly out: (text: string) => void;
  readonly err: (text: string) => void;
}

/** Runs one command; resolves with the exit code: 0 done, 1 failed, 2 wrong use or input. */
export async function main(args: readonly string[], output: Output): Promise<number> {
  const program = new Command('urvek')
    .description('Ranges of wireless products from walks, without a browser or a database')
    .exitOverride()
    .configureOutput({ writeOut: output.out, writeErr: output.err });
  program
    .command('ranges <file>')
    .description(
      'estimate range from a CSV of walk intervals (product,path,walk,held_m,failed_m) or from a ' +
        'comparison of Urvek (JSON)',
    )
    .option('--json', 'one JSON object instead of a table')
    .option('--criterion <name>', 'use the rows of this criterion')
    .option('--direction <name>', 'use the rows of this direction')
    .option('--unit <name>', 'use the rows of this unit; "*" takes all, nested in their products')
    .option('--exponent <n>', 'path-loss exponent for ratios in dB')
    .action(
      async (
        file: string,
        options: { json?: true; criterion?: string; direction?: string; unit?: string; exponent?: string },
      ) => {
        const { ranges } = await import('./ranges.ts');
        output.out(await ranges(file, options));
      },
    );
  program
    .command('trials <file>')
    .description(
      'hits and misses by distance, from a CSV: distance_m,trials,successes and, where there are several, product',
    )
    .option('--json', 'one JSON object instead of a table')
    .action(async (file: string, options: { json?: true }) => {
      const { trials } = await import('./trials.ts');
      output.out(await trials(file, options));
    });
  program
    .command('throughput <file>')
    .description(
      'throughput over distance, from a CSV (distance_m,throughput_mbps), from Urvek’s readings.csv, ' +
        'or from a comparison (JSON)',
    )
    .option('--json', 'one JSON object instead of a table')
    .option('--need <mbps>', 'where this is no longer met')
    .option('--backhaul <mbps>', 'what the line behind it gives by cable: 900, or from and to, 150-200')
    .action(async (file: string, options: { json?: true; need?: string; backhaul?: string }) => {
      const { throughput } = await import('./throughput.ts');
      output.out(await throughput(file, options));
    });
  program
    .command('beacon <file>')
    .description('what a recording carries of Urvek’s beacon, in sound and picture: where and when it was')
    .option('--json', 'one JSON object instead of lines')
    .option('--walk <file>', 'the walk, saved as a file: its log says where each message was sent')
    .action(async (file: string, options: { json?: true; walk?: string }) => {
      const { beacon } = await import('./beacon.ts');
      output.out(await beacon(file, options));
    });
  program
    .command('gear <kind> [address]')
    .description(
      'simulated gear (wheel, link, remote) that joins a walk and hands in what it notices, or a ' +
        'simulated survey of the band as CSV (survey); docs/gear.md',
    )
    .option('--code <code>', 'the code on the walker’s screen')
    .option('--key <key>', 'the program’s own key; without it the one in the address')
    .option('--seconds <n>', 'for so long (60)')
    .option('--faster <n>', 'so many times as fast as it would be (1)')
    .action(async (kind: string, address: string, options: GearOptions) => {
      const { gear } = await import('./gear.ts');
      await gear(kind, address, options, output.out);
    });
  program
    .command('detect <file>')
    .description('what was lost in a recording, and when: sound, picture or both; decoded by ffmpeg')
    .option('--json', 'one JSON object instead of a list')
    .option('--reference <file>', 'what was sent: tells delay and drift, and for speech what was lost')
    .option('--signal <name>', 'what was sent: noise, tone (1 kHz), speech, or unknown')
    .action(async (file: string, options: { json?: true; reference?: string; signal?: string }) => {
      // Each takes a tenth of a second; what is wrong with the file is told where it is waited for.
      const { probeMedia } = await import('./media.ts');
      const media = probeMedia(file);
      media.catch(() => undefined);
      const { detect } = await import('./detect.ts');
      output.out(await detect(file, media, options));
    });
  program
    .command('predict <file>')
    .description(
      'level and margin along a path, from a JSON file with the link, the obstructions and the distances',
    )
    .option('--json', 'one JSON object instead of a table')
    .action(async (file: string, options: { json?: true }) => {
      const { predict } = await import('./predict.ts');
      output.out(await predict(file, options));
    });
  program
    .command('verdict <file>')
    .description('claims and needs of a comparison of Urvek (JSON), judged against its walks')
    .option('--json', 'one JSON object instead of a table')
    .action(async (file: string, options: { json?: true }) => {
      const { verdict } = await import('./verdict.ts');
      output.out(await verdict(file, options));
    });
  program
    .command('audit <file>')
    .description('fairness and consistency of a comparison of Urvek (JSON)')
    .option('--json', 'one JSON object instead of a list')
    .action(async (file: string, options: { json?: true }) => {
      const { audit } = await import('./audit.ts');
      output.out(await audit(file, options));
    });
  program
    .command('report <file>')
    .description('the report of a comparison of Urvek (JSON), with its pictures and tables')
    .requiredOption('--out <folder>', 'where to write it; made when it is not there')
    .option('--unit <unit>', 'm, km, ft, yd or mi', 'm')
    .option('--form <form>', 'long or short', 'long')
    .option('--private', 'with what its report withholds')
    .action(async (file: string, options: { out: string; unit: string; form: string; private?: true }) => {
      const { report } = await import('./report.ts');
      output.out(await report(file, options));
    });
  program
    .command('notebook <file>')
    .description(
      'take a table of observations (a row each; at, point or event) into a comparison, or write one out of it (--csv)',
    )
    .option(
      '--into <comparison>',
      'the comparison (JSON) that the walks are added to; what is not in it is made',
    )
    .option('--out <file>', 'where the comparison with them is written')
    .option('--set-aside', 'take the other rows where some are wrong or can be read two ways')
    .option('--unit <name>', 'unit of distances without one: m, km, ft, yd, mi')
    .option('--method <name>', 'how distances were come by, where a row does not say it')
    .option('--kind <name>', 'kind of products that the comparison does not have yet')
    .option('--csv', 'the walks of a comparison as such a table')
    .action(
      async (
        file: string,
        options: {
          into?: string;
          out?: string;
          setAside?: true;
          unit?: string;
          method?: string;
          kind?: string;
          csv?: true;
        },
      ) => {
        const { notebook } = await import('./notebook.ts');
        const { out, err } = await notebook(file, options);
        output.out(out);
        if (err) output.err(err);
      },
    );
  let code = 0;
  program
    .command('probe <address>')
    .description(
      'measure the link between here and a running Urvek: application throughput each way, round trips ' +
        'at rest and under load, loss and jitter',
    )
    .option('--json', 'one JSON object instead of lines')
    .option('--seconds <n>', 'of each way', '8')
    .option('--streams <n>', 'connections at once, 2 to 6', '4')
    .option('--ways <list>', 'of down, up, both', 'down,up')
    .option('--budget <MB>', 'so many bytes in all, and it stops', '4000')
    .option('--no-loss', 'without datagrams')
    .option('--authority <file>', 'certificate of the authority of a server on the local network')
    .option('--device <token>', 'of a paired device, for a server on the local network')
    .action(async (address: string, options: ProbeOptions) => {
      const { probe } = await import('./probe.ts');
      const { out, failed } = await probe(address, options);
      output.out(out);
      if (failed) code = 1;
    });
  program
    .command('convert <length>')
    .description('a length in another unit: urvek convert "0.45 km" --to ft')
    .requiredOption('--to <unit>', 'm, km, ft, yd or mi')
    .action(async (length: string, { to }: { to: string }) => {
      const { convert } = await import('./convert.ts');
      output.out(convert(length, to));
    });
  try {
    await program.parseAsync([...args], { from: 'user' });
    return code;
  } catch (error) {
    if (error instanceof CommanderError) return error.exitCode === 0 ? 0 : 2;
    if (!isBadInput(error)) throw error;
    output.err(`urvek: ${error.message}\n`);
    return 2;
  }
}
