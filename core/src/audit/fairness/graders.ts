import { clipPairs, gradersAgreement } from '../../grade/agreement.ts';
import { personKey } from '../../grade/person.ts';
import { NOT_KNOWN, type AuditedWalk, type AuditRule } from '../case/auditCase.ts';
import * as phrases from './phrases.ts';

/** Nobody sets "degraded" and "unusable" quite where another does. */
export const graders: AuditRule = {
  id: 'graders',
  title: phrases.gradedBySeveral,
  find: ({ products, judgedBy, kindName }) => {
    if (judgedBy !== 'sense') return [];
    const walked = products.flatMap((product) =>
      product.walks.flatMap((walk) => {
        const name = walk.conditions.gradedBy;
        const person = personKey(name);
        return name === undefined || person === undefined
          ? []
          : [{ product, walk, person, name: name.trim() }];
      }),
    );
    const people = [...new Set(walked.map((w) => w.person))].toSorted();
    if (people.length < 2) return [];
    const of = (person: string): typeof walked => walked.filter((w) => w.person === person);
    const nameOf = (person: string): string => of(person)[0]?.name ?? person;
    const said = people.map((person) => {
      const names = [...new Set(of(person).map((w) => w.product.name))];
      return phrases.graded(nameOf(person), names.join(', '), of(person).length);
    });
    return [
      {
        products: [...new Set(walked.map((w) => w.product.id))],
        what: phrases.gradersOfAKind(kindName, said.join('; ')),
        sizeDb: undefined,
        size: agreementText(
          people.map((person) => ({
            person: nameOf(person),
            // What was learned of somebody last is what they are like now.
            graded: of(person).findLast((w) => w.walk.graded.length > 0)?.walk.graded ?? [],
          })),
        ),
        mend: phrases.onePersonGradesAllWalks,
      },
    ];
  },
};

/** How far each two agree on clips that both graded; the pair that agrees least where there are more. */
function agreementText(
  people: readonly { readonly person: string; readonly graded: AuditedWalk['graded'] }[],
): string {
  const pairs = people.flatMap((a, i) =>
    people.slice(i + 1).flatMap((b) => {
      const agreed = gradersAgreement(
        a.graded.flatMap(({ clips, graded }) =>
          b.graded.flatMap((other) => (other.clips === clips ? clipPairs(graded, other.graded) : [])),
        ),
      );
      return agreed ? [{ a: a.person, b: b.person, agreed }] : [];
    }),
  );
  const [least] = pairs.toSorted((x, y) => x.agreed.kappa - y.agreed.kappa);
  if (!least) return NOT_KNOWN;
  const { kappa, interval95, graded } = least.agreed;
  const range = interval95 === undefined ? undefined : interval95.map((x) => x.toFixed(2)).join(' to ');
  return phrases.agreeOnTheClips(least.a, least.b, kappa.toFixed(2), range, graded);
}
