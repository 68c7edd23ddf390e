import type { Scene } from '../scene.ts';
import type { Rest, Sentence } from './sentence.ts';
import * as phrases from './phrases.ts';

/** A sentence of the report as it is read: as the figures say it, or as somebody worded it anew. */
export interface ShownSentence {
  readonly id: string;
  readonly text: string;
  /** As the figures say it; `text` differs where it was worded anew. */
  readonly made: string;
  /** What the figures said when it was worded anew, where they say something else now. */
  readonly was?: string;
}

/** The same with the data that it rests on. */
export interface Worded extends ShownSentence {
  readonly rests: readonly Rest[];
}

/** A row of a table, whose cells may hold sentences. */
interface ShownRow {
  readonly cells: readonly string[];
}

export interface Row extends ShownRow {
  readonly rests: readonly Rest[];
}

interface Table<R> {
  readonly kind: 'table';
  readonly caption: string;
  readonly head: readonly string[];
  readonly rows: readonly R[];
}

interface Figure {
  readonly kind: 'figure';
  readonly name: string;
  readonly scene: Scene;
}

/** A part of the report; what is said in sentences may be worded anew, figures and tables not. */
type BlockOf<S, R> =
  | ({ readonly kind: 'paragraph' } & S)
  | { readonly kind: 'list'; readonly items: readonly S[] }
  | Table<R>
  | (Figure & { readonly caption: S });
export type Block = BlockOf<Worded, Row>;
export type ShownBlock = BlockOf<ShownSentence, ShownRow>;

/** The same as it is made from findings, before anybody words it anew. */
export type MadeBlock =
  | { readonly kind: 'paragraph'; readonly id: string; readonly said: Sentence }
  | { readonly kind: 'list'; readonly items: readonly Sentence[] }
  | Table<Row>
  | (Figure & { readonly caption: string });

interface Section<B> {
  readonly id: string;
  readonly title: string;
  readonly blocks: readonly B[];
}
export type ReportSection = Section<Block>;
export type MadeSection = Section<MadeBlock>;
export type ShownSection = Section<ShownBlock>;

interface DocumentOf<B> {
  readonly title: string;
  readonly question: string;
  readonly when: string;
  /** Walks were played by simulated gear: said on every page. */
  readonly simulated: boolean;
  readonly sections: readonly Section<B>[];
}
export type ReportDocument = DocumentOf<Block>;
export type ShownDocument = DocumentOf<ShownBlock>;

export const REPORT_FORMS = ['long', 'short'] as const;
export type ReportForm = (typeof REPORT_FORMS)[number];

export const SIMULATED = phrases.madeUpTheseWalksWerePlayed;
