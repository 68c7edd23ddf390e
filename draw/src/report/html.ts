import { escapeXml, sceneToSvg } from '../svg.ts';
import { COLOUR } from '../style.ts';
import { SIMULATED, type Block, type ReportDocument, type Row, type ShownDocument } from './document.ts';
import { type Rest } from './sentence.ts';

const CSS = `
body{font:15px/1.45 "Atkinson Hyperlegible",sans-serif;color:${COLOUR.ink};max-width:980px;
  margin:24px auto;padding:0 16px}
h1{font-size:1.6em;margin:0}h2{border-bottom:2px solid;margin:1.4em 0 .4em}
table{border-collapse:collapse;width:100%;font-size:.92em}
caption{text-align:left;color:${COLOUR.faint}}
th,td{border-bottom:1px solid ${COLOUR.rule};padding:3px 8px 3px 0;text-align:left;vertical-align:top}
figure{margin:1em 0;break-inside:avoid}figcaption,.when{color:${COLOUR.faint};font-size:.9em}svg{width:100%;height:auto}
.simulated{border:2px solid;padding:3px 8px;font-weight:700}
@media print{.simulated{position:fixed;top:0;left:0;right:0;background:#fff;font-size:9pt}
body{margin-top:34px}tr,figure{break-inside:avoid}}`;

const e = escapeXml;

/** The ids of the data stand in the page beside what is said by them. */
const by = (rests: readonly Rest[]): string => ` data-rests="${e(rests.join(' '))}"`;

const rowHtml = ({ rests, cells }: Row): string =>
  `<tr${by(rests)}>${cells.map((c) => `<td>${e(c)}</td>`).join('')}</tr>`;

function blockHtml(block: Block): string {
  switch (block.kind) {
    case 'paragraph':
      return `<p${by(block.rests)}>${e(block.text)}</p>`;
    case 'list':
      return block.items.length === 0
        ? ''
        : `<ul>${block.items.map((i) => `<li${by(i.rests)}>${e(i.text)}</li>`).join('')}</ul>`;
    case 'table':
      return (
        `<table><caption>${e(block.caption)}</caption><thead><tr>` +
        `${block.head.map((h) => `<th scope="col">${e(h)}</th>`).join('')}</tr></thead><tbody>` +
        `${block.rows.map(rowHtml).join('')}` +
        '</tbody></table>'
      );
    case 'figure':
      return `<figure>${sceneToSvg(block.scene)}<figcaption>${e(block.caption.text)}</figcaption></figure>`;
  }
}

/** The report as one page that stands alone: no script, nothing fetched. */
export function reportHtml({ title, question, when, simulated, sections }: ReportDocument): string {
  return [
    `<!doctype html><html lang="en"><head><meta charset="utf-8"><title>${e(title)}</title><style>` +
      `${CSS}</style></head><body>`,
    ...(simulated ? [`<p class="simulated">${e(SIMULATED)}</p>`] : []),
    `<h1>${e(title)}</h1><p>${e(question)}</p><p class="when">${e(when)}</p>`,
    ...sections.map((s) => `<section><h2>${e(s.title)}</h2>${s.blocks.map(blockHtml).join('')}</section>`),
    '</body></html>',
    '',
  ].join('\n');
}

/** The short form as plain text, for a video's description or a card. */
export const reportText = ({ title, question, when, simulated, sections }: ShownDocument): string =>
  [
    title,
    question,
    when,
    ...(simulated ? [SIMULATED] : []),
    '',
    ...sections.flatMap((s) => [
      `${s.title}:`,
      ...s.blocks.flatMap((b) =>
        b.kind === 'paragraph' ? [b.text] : b.kind === 'list' ? b.items.map((i) => i.text) : [],
      ),
      '',
    ]),
  ].join('\n');
