import { SCENE_CSS, SCENE_PATTERNS, transformOf, type Scene } from '@urvek/draw';
import type { ComponentProps, KeyboardEvent, ReactNode } from 'react';
import { ShapeElement } from './ShapeElement.tsx';

/** A scene of draw/, live: the same shapes as on paper. */
export function Picture({
  scene,
  onPoint,
  stops,
  children,
  ...svg
}: {
  scene: Scene;
  onPoint?: (groupId: string) => void;
  /** Groups that a keyboard stops at, to follow them as a pointer does. */
  stops?: (groupId: string) => boolean;
  children?: ReactNode;
} & Omit<ComponentProps<'svg'>, 'children'>) {
  return (
    <svg
      viewBox={`0 0 ${scene.width} ${scene.height}`}
      width="100%"
      role={children === undefined && !stops ? 'img' : 'group'}
      aria-label={scene.title}
      data-scene
      {...svg}
    >
      <defs>
        {SCENE_PATTERNS.map((p) => (
          <pattern key={p.id} id={p.id} width={p.size} height={p.size} patternUnits="userSpaceOnUse">
            <path d={p.d} stroke={p.stroke} strokeWidth={p.width} fill="none" />
          </pattern>
        ))}
      </defs>
      {scene.groups.map((group) => (
        <g
          key={group.id}
          data-group={group.id}
          transform={transformOf(group)}
          onClick={onPoint && group.title !== undefined ? () => onPoint(group.id) : undefined}
          {...(onPoint && stops?.(group.id)
            ? {
                tabIndex: 0,
                role: 'link',
                'aria-label': group.title,
                onKeyDown: (e: KeyboardEvent) => {
                  if (e.key !== 'Enter') return;
                  e.preventDefault();
                  onPoint(group.id);
                },
              }
            : {})}
          className={onPoint && group.title !== undefined ? 'cursor-pointer' : undefined}
        >
          {group.title !== undefined && <title>{group.title}</title>}
          {group.shapes.map((shape, i) => (
            <ShapeElement key={i} shape={shape} />
          ))}
        </g>
      ))}
      {children}
    </svg>
  );
}

/** The scenes' style, once a page. */
export const PictureStyle = () => <style>{SCENE_CSS}</style>;
