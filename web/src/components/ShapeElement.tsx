import type { Shape } from '@urvek/draw';

/** One shape of a scene as SVG. */
export function ShapeElement({ shape }: { shape: Shape }) {
  const className = `s-${shape.role}`;
  switch (shape.kind) {
    case 'rect':
      return <rect x={shape.x} y={shape.y} width={shape.width} height={shape.height} className={className} />;
    case 'line':
      return <line x1={shape.x1} y1={shape.y1} x2={shape.x2} y2={shape.y2} className={className} />;
    case 'path':
      return <path d={shape.d} className={className} />;
    case 'text':
      return (
        <text
          x={shape.x}
          y={shape.y}
          textAnchor={shape.anchor}
          className={className}
          style={{ whiteSpace: 'pre' }}
        >
          {shape.text}
        </text>
      );
  }
}
