import type { Scene } from '../scene.ts';
import type { Rest, Sentence } from './sentence.ts';
import * as phrases from './phrases.ts';

/** A sentence of the report as the figures say it, or as somebody worded it anew. */
export interface Worded {
  readonly id: string;
  readonly text: string;
  /** As the figures say it; `text` differs where it was worded anew. */
  readonly made: string;
  /** What the figures said when it was worded anew, where they say something else now. */
  readonly was?: string;
  readonly rests: readonly Rest[];
}

interface Table {
  readonly kind: 'table';
  readonly caption: string;
  readonly head: readonly string[];
  readonly rows: readonly Row[];
}

interface Figure {
  readonly kind: 'figure';
  readonly name: string;
  readonly scene: Scene;
}

/** A part of the report; what is said in sentences may be worded anew, figures and tables not. */
export type Block =
  | ({ readonly kind: 'paragraph' } & Worded)
  | { readonly kind: 'list'; readonly items: readonly Worded[] }
  | Table
  | (Figure & { readonly caption: Worded });

/** The same as it is made from findings, before anybody words it anew. */
export type MadeBlock =
  | { readonly kind: 'paragraph'; readonly id: string; readonly said: Sentence }
  | { readonly kind: 'list'; readonly items: readonly Sentence[] }
  | Table
  | (Figure & { readonly caption: string });

/** A row of a table, whose cells may hold sentences. */
export interface Row {
  readonly cells: readonly string[];
  readonly rests: readonly Rest[];
}

interface Section<B> {
  readonly id: string;
  readonly title: string;
  readonly blocks: readonly B[];
}
export type ReportSection = Section<Block>;
export type MadeSection = Section<MadeBlock>;

export interface ReportDocument {
  readonly title: string;
  readonly question: string;
  readonly when: string;
  /** Walks were played by simulated gear: said on every page. */
  readonly simulated: boolean;
  readonly sections: readonly ReportSection[];
}

export const REPORT_FORMS = ['long', 'short'] as const;
export type ReportForm = (typeof REPORT_FORMS)[number];

export const SIMULATED = phrases.madeUpTheseWalksWerePlayed;
