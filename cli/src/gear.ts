import { GEAR_SOCKET_PATH, GEAR_VERSION, type GearAnswer, type GearLine } from '@urvek/contract';
import { WebSocket } from 'ws';
import { BadInput } from './badInput.ts';
import { surveyCsv } from './surveyLines.ts';
import { GEAR_ENDS, GEAR_KINDS, gearLines } from './gearLines.ts';

export interface GearOptions {
  readonly code?: string;
  readonly key?: string;
  readonly seconds?: string;
  readonly faster?: string;
}

const pause = (ms: number): Promise<void> => new Promise((resolve) => setTimeout(resolve, ms));

/** The `gear` command: simulated gear that joins a walk and hands in what it notices. @throws BadInput */
export async function gear(
  kind: string,
  address: string | undefined,
  { code, key, seconds = '60', faster = '1' }: GearOptions,
  tell: (text: string) => void,
): Promise<void> {
  if (kind === 'survey') return tell(surveyCsv(code ?? ''));
  const known = GEAR_KINDS.find((k) => k === kind);
  if (!known) throw new BadInput(`${kind}: there are ${GEAR_KINDS.join(', ')} and survey`);
  if (address === undefined) throw new BadInput('the address that Urvek printed at its start is missing');
  if (code === undefined) throw new BadInput('--code: the code on the walker’s screen');
  const [duration, speed] = [Number(seconds), Number(faster)];
  if (!(duration >= 1 && duration <= 86_400)) throw new BadInput(`--seconds ${seconds}: from 1 to 86400`);
  if (!(speed >= 1 && speed <= 100)) throw new BadInput(`--faster ${faster}: from 1 to 100`);
  const ws = await opened(address, key);
  try {
    const say = talk(ws);
    const welcome = await say({
      ...{
        hello: 'urvek-gear',
        version: GEAR_VERSION,
        name: `simulated ${known}`,
        code,
        end: GEAR_ENDS[known],
      },
    });
    if ('refused' in welcome) throw new BadInput(welcome.refused);
    let second = 0;
    for (const lines of gearLines(known, code)) {
      if (++second > duration) break;
      await pause(1000 / speed);
      for (const line of lines) {
        const answer = await say(line);
        tell(`${JSON.stringify(line)}${'refused' in answer ? `  refused: ${answer.refused}` : ''}\n`);
      }
    }
  } finally {
    ws.close();
  }
}

/** Asks, and waits for the answer. */
const talk =
  (ws: WebSocket) =>
  (line: GearLine | object): Promise<GearAnswer> =>
    new Promise((resolve, reject) => {
      const gone = (): void => reject(new BadInput('Urvek has gone away; what was answered is kept'));
      ws.once('close', gone);
      ws.once('message', (data) => {
        ws.off('close', gone);
        resolve(JSON.parse(String(data)) as GearAnswer);
      });
      ws.send(`${JSON.stringify(line)}\n`);
    });

async function opened(address: string, given: string | undefined): Promise<WebSocket> {
  const url = URL.canParse(address) ? new URL(address) : undefined;
  if (!url || !/^https?:$/.test(url.protocol))
    throw new BadInput(`${address}: not an address; it is the one that Urvek printed at its start`);
  const key = given ?? url.searchParams.get('key') ?? '';
  const at = new URL(GEAR_SOCKET_PATH, url);
  at.protocol = url.protocol.replace('http', 'ws');
  const ws = new WebSocket(at, { headers: { 'X-Urvek-Key': key } });
  await new Promise<void>((resolve, reject) => {
    ws.once('open', resolve);
    ws.once('error', (cause) =>
      reject(new BadInput(`${address}: not let in, or not there: ${cause.message}`)),
    );
  });
  return ws;
}
