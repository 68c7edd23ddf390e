import { marginText } from '@urvek/draw';
import { needText, Study } from '@urvek/study';
import { comparisonOf } from './comparison.ts';
import { readInput } from './readInput.ts';

/** The `verdict` command: every claim and every need. @throws BadInput */
export async function verdict(file: string, { json }: { json?: true }): Promise<string> {
  const { setup, walks } = comparisonOf(await readInput(file), file);
  const { verdicts, needs } = Study.ofLogs(setup, walks).judgement();
  if (json) {
    return `${JSON.stringify(
      {
        claims: verdicts.map(({ product, subject, claim, path, verdict: v, neverSettled }) => ({
          product: product.name,
          subject,
          form: claim.form,
          claim: claim.entered,
          up_to: claim.upTo,
          condition: claim.condition,
          path: path?.name ?? null,
          outcome: v.outcome,
          reason: v.reason,
          next: v.next ?? null,
          never_settled: neverSettled ?? null,
          caveats: v.caveats,
        })),
        needs: needs.map(({ need, product, subject, path, verdict: v }) => ({
          use: need.use,
          need: need.entered,
          figure: need.figure ?? null,
          condition: need.condition,
          product: product.name,
          subject,
          path: path?.name ?? null,
          outcome: v.outcome,
          margin: v.margin ?? null,
          margin_is_bound: v.atLeast,
          k_of_n: v.kOfN ? [v.kOfN.held, v.kOfN.of] : null,
          reason: v.reason,
        })),
      },
      null,
      1,
    )}\n`;
  }
  return [
    ...verdicts.flatMap((v) => [
      `${v.verdict.outcome.padEnd(10)}  ${v.subject}: ${v.claim.upTo ? 'up to ' : ''}${v.claim.entered}` +
        `, ${v.claim.condition}${v.path ? `, on ${v.path.name}` : ''}`,
      `            ${v.verdict.reason}`,
      ...(v.verdict.next === undefined ? [] : [`            ${v.verdict.next}`]),
    ]),
    ...needs.map(
      (n) =>
        `${n.verdict.outcome.padEnd(10)}  ${n.subject}: ${n.need.use}, ${needText(n.need)}` +
        `${n.verdict.margin === undefined ? '' : `, ${marginText(n.verdict.margin, n.verdict.atLeast)}`}` +
        `. ${n.verdict.reason}`,
    ),
    ...(verdicts.length + needs.length === 0 ? ['no claim and no need is entered'] : []),
    '',
  ].join('\n');
}
