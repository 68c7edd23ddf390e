import { transformOf, type Scene, type Shape } from './scene.ts';
import { SCENE_CSS, SCENE_PATTERNS } from './style.ts';

const ESCAPES: Readonly<Record<string, string>> = {
  '&': '&amp;',
  '<': '&lt;',
  '>': '&gt;',
  '"': '&quot;',
  "'": '&#39;',
};
export const escapeXml = (value: string): string => value.replace(/[&<>"']/g, (c) => ESCAPES[c] as string);
const n = (value: number): string => String(Math.round(value * 100) / 100);

function shapeToSvg(shape: Shape): string {
  const role = `class="s-${escapeXml(shape.role)}"`;
  switch (shape.kind) {
    case 'rect':
      return (
        `<rect x="${n(shape.x)}" y="${n(shape.y)}" width="${n(shape.width)}" height="${n(shape.height)}" ` +
        `${role}/>`
      );
    case 'line':
      return `<line x1="${n(shape.x1)}" y1="${n(shape.y1)}" x2="${n(shape.x2)}" y2="${n(shape.y2)}" ${role}/>`;
    case 'path':
      return `<path d="${escapeXml(shape.d)}" ${role}/>`;
    case 'text':
      return (
        `<text x="${n(shape.x)}" y="${n(shape.y)}" text-anchor="${shape.anchor}" ${role}>` +
        `${escapeXml(shape.text)}</text>`
      );
  }
}

/** A scene as a stand-alone SVG document, style included. */
export function sceneToSvg(scene: Scene): string {
  const patterns = SCENE_PATTERNS.map(
    (p) =>
      `<pattern id="${p.id}" width="${p.size}" height="${p.size}" patternUnits="userSpaceOnUse"><path d="${p.d}` +
      `" stroke="${p.stroke}" stroke-width="${p.width}" fill="none"/></pattern>`,
  );
  const groups = scene.groups.map(
    (g) =>
      `<g${transformOf(g) === undefined ? '' : ` transform="${transformOf(g)}"`}>` +
      `${g.title === undefined ? '' : `<title>${escapeXml(g.title)}</title>`}` +
      `${g.shapes.map(shapeToSvg).join('')}</g>`,
  );
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${n(scene.width)} ${n(scene.height)}" ` +
      `role="img"><title>${escapeXml(scene.title)}</title>`,
    `<style>${SCENE_CSS}</style><defs>${patterns.join('')}</defs>`,
    ...groups,
    '</svg>',
  ].join('\n');
}
