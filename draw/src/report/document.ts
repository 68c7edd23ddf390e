import type { Scene } from '../scene.ts';

/**
 * A part of the report, made from findings and never typed; paragraphs may be worded anew, figures and
 * tables not.
 */
export type Block =
  | {
      readonly kind: 'paragraph';
      readonly id: string;
      readonly text: string;
      /** As the figures say it; `text` differs where it was worded anew. */ readonly made: string;
    }
  | { readonly kind: 'list'; readonly items: readonly string[] }
  | {
      readonly kind: 'table';
      readonly caption: string;
      readonly head: readonly string[];
      readonly rows: readonly (readonly string[])[];
    }
  | { readonly kind: 'figure'; readonly name: string; readonly scene: Scene; readonly caption: string };

export interface ReportSection {
  readonly id: string;
  readonly title: string;
  readonly blocks: readonly Block[];
}

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

export const SIMULATED =
  'Made up: these walks were played by simulated gear. They show the method, not a product.';
