/** Okabe and Ito's set, safe for colour-blind readers (Color Universal Design, 2008). */
export const COLOUR = {
  ink: '#1c211f',
  faint: '#5d645f',
  rule: '#b9b7aa',
  paper: '#f6f2e7',
  tape: '#fffdf4',
  clear: '#009e73',
  degraded: '#e69f00',
  lost: '#d55e00',
  estimate: '#0072b2',
  claim: '#8a3f6b',
} as const;

/**
 * Roles of shapes to CSS; the page and the stand-alone picture share it. States differ in shape, not only
 * in colour.
 */
export const SCENE_CSS = `
.s-tape{fill:${COLOUR.tape};stroke:${COLOUR.ink};stroke-width:1.2}
.s-tick{stroke:${COLOUR.ink};stroke-width:1}
.s-minor{stroke:${COLOUR.faint};stroke-width:.7}
.s-grid{stroke:${COLOUR.rule};stroke-width:.6;stroke-dasharray:1 4}
.s-figure{font:600 13px "B612",sans-serif;fill:${COLOUR.ink}}
.s-label{font:13px "Atkinson Hyperlegible",sans-serif;fill:${COLOUR.ink}}
.s-strong{font:700 13px "Atkinson Hyperlegible",sans-serif;fill:${COLOUR.ink}}
.s-small{font:13px "Atkinson Hyperlegible",sans-serif;fill:${COLOUR.faint}}
.s-value{font:600 13px "B612",sans-serif;fill:${COLOUR.estimate}}
.s-fixed{fill:${COLOUR.ink}}
.s-leg-open{fill:${COLOUR.tape};stroke:${COLOUR.rule}}
.s-leg-wooded{fill:url(#p-wooded);stroke:${COLOUR.rule}}
.s-leg-obstructed{fill:url(#p-obstructed);stroke:${COLOUR.rule}}
.s-leg-indoor{fill:url(#p-indoor);stroke:${COLOUR.rule}}
.s-obstruction{fill:${COLOUR.ink}}
.s-hazard-mark{fill:${COLOUR.ink}}
.s-hazard{fill:${COLOUR.paper};stroke:${COLOUR.lost};stroke-width:1.6}
.s-checkpoint{fill:${COLOUR.paper};stroke:${COLOUR.ink};stroke-width:1.2}
.s-clear{fill:${COLOUR.clear}}
.s-degraded{fill:url(#p-degraded);stroke:${COLOUR.degraded};stroke-width:1}
.s-lost{stroke:${COLOUR.lost};stroke-width:2;fill:none}
.s-lane{fill:none;stroke:${COLOUR.rule};stroke-width:.8}
.s-mark{stroke:${COLOUR.ink};stroke-width:1;fill:none}
.s-bracket{stroke:${COLOUR.ink};stroke-width:1.6;fill:none}
.s-bound{stroke:${COLOUR.ink};stroke-width:1.4;fill:none;stroke-dasharray:5 3}
.s-arrow{stroke:${COLOUR.ink};stroke-width:1.6;fill:${COLOUR.paper}}
.s-interval{fill:${COLOUR.estimate};fill-opacity:.28;stroke:${COLOUR.estimate};stroke-width:1}
.s-interval-beyond{fill:${COLOUR.estimate};fill-opacity:.1;
  stroke:${COLOUR.estimate};stroke-width:1;stroke-dasharray:3 2}
.s-path-end{stroke:${COLOUR.ink};stroke-width:3}
.s-median-open{fill:${COLOUR.tape};stroke:${COLOUR.estimate};stroke-width:1.8}
.s-day-block{fill:${COLOUR.rule};stroke:${COLOUR.ink};stroke-width:.8}
.s-dark{fill:url(#p-wooded);stroke:none}
.s-post-made{fill:${COLOUR.ink}}
.s-post-open{fill:${COLOUR.tape};stroke:${COLOUR.ink};stroke-width:1.2}
.s-card{fill:${COLOUR.paper}}
.s-card-title{font:700 27px "Atkinson Hyperlegible",sans-serif;fill:${COLOUR.ink}}
.s-card-small{font:15px "Atkinson Hyperlegible",sans-serif;fill:${COLOUR.ink}}
.s-card-mark{font:700 15px "Atkinson Hyperlegible",sans-serif;fill:${COLOUR.lost}}
.s-tick-figure{font:13px "B612",sans-serif;fill:${COLOUR.faint}}
.s-median{fill:${COLOUR.estimate};stroke:${COLOUR.paper};stroke-width:1}
.s-claim{stroke:${COLOUR.claim};stroke-width:1.4;stroke-dasharray:7 3;fill:none}
.s-claim-text{font:700 13px "Atkinson Hyperlegible",sans-serif;fill:${COLOUR.claim}}
.s-band{fill:${COLOUR.estimate};fill-opacity:.12}
.s-curve{stroke:${COLOUR.estimate};stroke-width:1.4;fill:none}
.s-zero{stroke:${COLOUR.ink};stroke-width:.8;stroke-dasharray:4 3}
.s-expected{stroke:${COLOUR.estimate};stroke-width:1.6;fill:none}
.s-cursor{stroke:${COLOUR.estimate};stroke-width:2}
.s-here{fill:${COLOUR.estimate}}
.s-route{fill:none;stroke:${COLOUR.ink};stroke-width:3;stroke-linejoin:round}
.s-sight{stroke:${COLOUR.estimate};stroke-width:1.6;stroke-dasharray:9 4}
.s-plan-wall{fill:none;stroke:${COLOUR.lost};stroke-width:4}
.s-plan-hedge{fill:none;stroke:${COLOUR.clear};stroke-width:5;stroke-dasharray:3 2}
.s-plan-trees{fill:url(#p-wooded);stroke:${COLOUR.clear};stroke-width:1.2}
.s-plan-vehicle{fill:${COLOUR.rule};stroke:${COLOUR.ink};stroke-width:2}
.s-plan-floor{fill:url(#p-indoor);stroke:${COLOUR.faint};stroke-dasharray:6 3}
.s-plan-steps{fill:url(#p-degraded);stroke:${COLOUR.degraded}}
.s-plan-selected{fill:none;stroke:${COLOUR.estimate};stroke-width:1.5;stroke-dasharray:4 3}
`;

/** Fill patterns: exposure of legs by texture, degraded by hatching. */
export const SCENE_PATTERNS = [
  { id: 'p-degraded', size: 6, d: 'M-1 7L7 -1M-1 1L1 -1M5 7L7 5', stroke: COLOUR.degraded, width: 2 },
  { id: 'p-wooded', size: 10, d: 'M2 8L4 3L6 8M7 4L8.5 1L10 4', stroke: COLOUR.faint, width: 0.9 },
  { id: 'p-obstructed', size: 8, d: 'M0 4H8M2 0V4M6 4V8', stroke: COLOUR.faint, width: 0.9 },
  { id: 'p-indoor', size: 8, d: 'M0 0H8V8', stroke: COLOUR.faint, width: 0.9 },
] as const;
