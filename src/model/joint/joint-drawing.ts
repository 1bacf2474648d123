import type { Position } from '@/core/tightening';
import type { Joint } from './joint';
import { positionsOf, turnOf } from './joint-shape';

type Drawn = Pick<Joint, 'name' | 'pattern' | 'fasteners' | 'detail' | 'orderSchool'>;

const ESCAPES: Readonly<Record<string, string>> = { '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' };
const escaped = (text: string) => text.replace(/[&<>"]/g, (letter) => ESCAPES[letter] ?? '');

/** Two places, so that the same joint is the same file everywhere. */
const short = (value: number) => String(Math.round(value * 100) / 100);

const LEAST_RADIUS = 2;
const OF_NEAREST = 0.27;
const ALONE = 27;

function nearest(places: readonly Position[]): number {
  const apart = places.flatMap(([x, y], i) => places.slice(0, i).map(([u, v]) => Math.hypot(x - u, y - v)));
  return apart.length === 0 ? ALONE / OF_NEAREST : Math.min(...apart);
}

/**
 * The fasteners of a joint as a drawing that stands by itself (SVG): each with its number in the turn, and the letter of
 * its kind where there are several. Places that were measured are drawn in millimetres, so that it prints at full size.
 * @param letters by place; none where all are of one kind
 * @throws DomainError bad-field, bad-turn
 */
export function jointDrawing(joint: Drawn, letters: readonly string[] = []): string {
  const { places: measured } = joint.detail;
  const isMeasured = joint.pattern === 'free' && measured !== null;
  const places = isMeasured ? measured : positionsOf(joint);
  const turn = turnOf(joint);
  const radius = Math.max(LEAST_RADIUS, OF_NEAREST * nearest(places));
  const margin = 2.2 * radius;
  const side = (axis: 0 | 1) => {
    const all = places.map((place) => place[axis]);
    return [Math.min(...all) - margin, Math.max(...all) - Math.min(...all) + 2 * margin] as const;
  };
  const [[left, width], [top, height]] = [side(0), side(1)];
  const size = isMeasured ? ` width="${short(width)}mm" height="${short(height)}mm"` : '';
  const fasteners = places.map(([x, y], place) => {
    const number = turn.indexOf(place) + 1;
    const letter = letters[place]
      ? `<text x="${short(1.25 * radius)}" y="${short(1.6 * radius)}" font-size="${short(0.8 * radius)}">${letters[place]}</text>`
      : '';
    return `  <g transform="translate(${short(x)} ${short(y)})"><circle r="${short(radius)}"/><text dy="0.36em" font-size="${short(radius)}">${number}</text>${letter}</g>`;
  });
  return [
    '<?xml version="1.0" encoding="UTF-8"?>',
    `<svg xmlns="http://www.w3.org/2000/svg"${size} viewBox="${[left, top, width, height].map(short).join(' ')}" font-family="sans-serif" text-anchor="middle">`,
    `  <title>${escaped(joint.name)}: ${joint.fasteners}, numbered in their turn${isMeasured ? ', in millimetres' : ''}</title>`,
    `  <style>circle { fill: none; stroke: #000; stroke-width: ${short(radius / 12)}; }</style>`,
    ...fasteners,
    '</svg>',
    '',
  ].join('\n');
}
