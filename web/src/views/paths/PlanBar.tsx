import { Maximize, Minus, Plus, Undo2 } from 'lucide-react';
import { TOOL_HINT, TOOL_NAME, TOOLS, type Tool } from './planTools.ts';
import type { Zoom } from './useZoom.ts';
import * as phrases from './phrases.ts';

const SMALL = 'btn min-h-8 px-2 py-0 text-[0.87rem]';
/** Of the picture, at a press. */
const PAN_PX = 120;

/** What is drawn with, and how closely it is looked at. */
export function PlanBar({
  tool,
  onTool,
  snaps,
  onSnaps,
  zoom,
  onUndo,
}: {
  tool: Tool;
  onTool: (tool: Tool) => void;
  snaps: boolean;
  onSnaps: (snaps: boolean) => void;
  zoom: Zoom;
  /** Absent: there is nothing to take back. */
  onUndo: (() => void) | undefined;
}) {
  const moved: Readonly<Record<string, readonly [number, number]>> = {
    ArrowLeft: [PAN_PX, 0],
    ArrowRight: [-PAN_PX, 0],
    ArrowUp: [0, PAN_PX],
    ArrowDown: [0, -PAN_PX],
  };
  return (
    <>
      <div className="flex flex-wrap items-center gap-1.5">
        <div className="flex flex-wrap gap-1.5" role="group" aria-label={phrases.whatToDraw}>
          {TOOLS.map((t) => (
            <button
              key={t}
              type="button"
              className={`${SMALL} ${tool === t ? 'btn-main' : ''}`}
              aria-pressed={tool === t}
              onClick={() => onTool(t)}
            >
              {TOOL_NAME[t]}
            </button>
          ))}
        </div>
        <button type="button" className={SMALL} aria-pressed={snaps} onClick={() => onSnaps(!snaps)}>
          {snaps ? phrases.snapOn : phrases.snapOff}
        </button>
        <button type="button" className={SMALL} disabled={!onUndo} onClick={onUndo}>
          <Undo2 aria-hidden size={15} />
          {phrases.undoOnThePlan}
        </button>
        <div
          className="ml-auto flex gap-1.5"
          role="toolbar"
          aria-label={phrases.lookCloserTheArrowKeysMove}
          onKeyDown={(e) => {
            const by = moved[e.key];
            if (!by) return;
            e.preventDefault();
            zoom.pan(...by);
          }}
        >
          <button type="button" className={SMALL} aria-label={phrases.closer} onClick={() => zoom.by(1)}>
            <Plus aria-hidden size={15} />
          </button>
          <button type="button" className={SMALL} aria-label={phrases.farther} onClick={() => zoom.by(-1)}>
            <Minus aria-hidden size={15} />
          </button>
          <button type="button" className={SMALL} onClick={zoom.whole}>
            <Maximize aria-hidden size={15} />
            {phrases.wholeSite}
          </button>
        </div>
      </div>
      <p className="mt-1 text-[0.87rem] text-faint">{TOOL_HINT[tool]}</p>
    </>
  );
}
