export * from './board/claimLane.ts';
export * from './board/dayScene.ts';
export * from './board/ledger.ts';
export * from './board/planCell.ts';
export * from './board/posts.ts';
export * from './board/reachScale.ts';
export * from './board/reachStrip.ts';
export * from './board/smallTape.ts';
export * from './board/walkBand.ts';
export * from './board/wordScene.ts';
export * from './card/card.ts';
export * from './card/reachBlock.ts';
export * from './plan/planScene.ts';
export * from './plan/view.ts';
export * from './scene.ts';
export * from './style.ts';
export * from './svg.ts';
export * from './tape/ground.ts';
export * from './tape/predictionLane.ts';
export * from './tape/rangeLanes.ts';
export * from './tape/scale.ts';
export * from './tape/tape.ts';
export * from './tape/tell.ts';
export * from './tape/walkLanes.ts';
export * from './thinness.ts';
export * from './time/timeLine.ts';
export { wordsOf, type WalksCarry } from './report/carried.ts';
export * from './report/document.ts';
export * from './report/figures.ts';
export * from './report/html.ts';
export * from './report/interference.ts';
export * from './report/report.ts';
export { textsOf, type Sentence } from './report/sentence.ts';
export { PUBLISHED_PX } from './report/setUp.ts';
export {
  apartText,
  claimSentence,
  comesBackSentences,
  pairSentences,
  ratioSentence,
  reachSentence,
  toldApart,
  wallSentences,
  withoutMetres,
} from './report/summary.ts';
export * from './answers.ts';
