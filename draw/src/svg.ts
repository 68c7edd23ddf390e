import { transformOf, type Scene, type Shape } from './scene.ts';
import { SCENE_CSS, SCENE_PATTERNS } from './style.ts';
import * as phrases from './phrases.ts';

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
      return phrases.rectXYWidthHeight(n(shape.x), n(shape.y), n(shape.width), n(shape.height), role);
    case 'line':
      return phrases.lineX1Y1X2Y2(n(shape.x1), n(shape.y1), n(shape.x2), n(shape.y2), role);
    case 'path':
      return phrases.pathD(escapeXml(shape.d), role);
    case 'text':
      return phrases.textXYTextAnchorText(n(shape.x), n(shape.y), shape.anchor, role, escapeXml(shape.text));
  }
}

/** A scene as a stand-alone SVG document, style included. */
export function sceneToSvg(scene: Scene): string {
  const patterns = SCENE_PATTERNS.map((p) =>
    phrases.patternIdWidthHeightPatternunitsUserspaceonuse(p.id, p.size, p.d, p.stroke, p.width),
  );
  const groups = scene.groups.map(
    (g) =>
      `<g${transformOf(g) === undefined ? '' : phrases.transform(transformOf(g))}>` +
      `${g.title === undefined ? '' : `<title>${escapeXml(g.title)}</title>`}` +
      `${g.shapes.map(shapeToSvg).join('')}</g>`,
  );
  return [
    phrases.svgXmlnsHttpWwwW3Org(n(scene.width), n(scene.height), escapeXml(scene.title)),
    `<style>${SCENE_CSS}</style><defs>${patterns.join('')}</defs>`,
    ...groups,
    '</svg>',
  ].join('\n');
}
