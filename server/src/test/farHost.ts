import { execFileSync } from 'node:child_process';

/** Another host: a network namespace on a cable to this one. */
export interface FarHost {
  readonly name: string;
  /** This end of the cable; the other end is `far0`. */
  readonly cable: string;
  readonly here: string;
  readonly there: readonly string[];
  readonly away: () => void;
}

export const ip = (...given: string[]): void =>
  void execFileSync('ip', given, { stdio: ['ignore', 'ignore', 'pipe'] });

/** Undefined where none can be made: that needs root. @param addresses of the far end, IPv4 first */
export function farHost(what: string, count = 1): FarHost | undefined {
  const name = `urvek-${what}-${process.pid}`;
  const cable = `u${what.charAt(0)}${process.pid % 1_000_000}`;
  const net = `10.${200 + (process.pid % 50)}.${(process.pid + what.length) % 250}`;
  const there = Array.from({ length: count }, (_, i) => `${net}.${i + 2}`);
  try {
    ip('netns', 'add', name);
  } catch {
    return undefined;
  }
  const away = (): void => ip('netns', 'del', name);
  try {
    ip('link', 'add', cable, 'type', 'veth', 'peer', 'name', 'far0', 'netns', name);
    ip('addr', 'add', `${net}.1/24`, 'dev', cable);
    ip('link', 'set', cable, 'up');
    for (const at of there) ip('-n', name, 'addr', 'add', `${at}/24`, 'dev', 'far0');
    ip('-n', name, 'link', 'set', 'far0', 'up');
    ip('-n', name, 'link', 'set', 'lo', 'up');
    return { name, cable, here: `${net}.1`, there, away };
  } catch {
    away();
    return undefined;
  }
}

/** Both ways of a cable carry no more than this; the queue holds a fifth of a second. */
export function shape({ name, cable }: FarHost, mbps: number): void {
  const bucket = ['root', 'tbf', 'rate', `${mbps}mbit`, 'burst', '32kb', 'latency', '200ms'];
  execFileSync('tc', ['qdisc', 'replace', 'dev', cable, ...bucket]);
  execFileSync('ip', ['netns', 'exec', name, 'tc', 'qdisc', 'replace', 'dev', 'far0', ...bucket]);
}

/**
 * So many of a hundred datagrams are lost, each way: where they come in, since a sender that hears of it sends again.
 */
export function loseDatagrams({ name, cable }: FarHost, percent: number): void {
  const rules = (device: string): string =>
    `table inet urvek {\n chain input {\n type filter hook input priority 0;\n iifname "${device}" ` +
    `meta l4proto udp numgen random mod 1000 < ${Math.round(10 * percent)} drop\n }\n}\n`;
  execFileSync('nft', ['-f', '-'], { input: rules(cable) });
  execFileSync('ip', ['netns', 'exec', name, 'nft', '-f', '-'], { input: rules('far0') });
}

/** A rule that stands twice drops twice: both ends are cleared. */
export function loseNothing({ name }: FarHost): void {
  const clear = ['nft', 'delete', 'table', 'inet', 'urvek'];
  execFileSync('nft', clear.slice(1));
  execFileSync('ip', ['netns', 'exec', name, ...clear]);
}
