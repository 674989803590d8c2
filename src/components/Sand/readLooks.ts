import { LOOKS, type LookName } from './looks';
import classes from './looks.module.css';
import type { Look, Looks } from './paintShapes';

/** Asks the page how everything looks that is drawn within an element: all of it at once, for each question costs a frame. */
export function readLooks(within: SVGSVGElement): Looks {
  const probes = LOOKS.map((name): [LookName, SVGTextElement] => {
    const probe = document.createElementNS('http://www.w3.org/2000/svg', 'text');
    probe.setAttribute('class', classes[name] ?? '');
    return [name, probe];
  });
  within.append(...probes.map(([, probe]) => probe));
  const looks = probes.map(([name, probe]) => [name, lookOf(getComputedStyle(probe))] as const);
  probes.forEach(([, probe]) => probe.remove());
  return Object.fromEntries(looks) as Record<LookName, Look>;
}

function lookOf(style: CSSStyleDeclaration): Look {
  return {
    fill: style.fill === 'none' ? null : style.fill,
    stroke: style.stroke === 'none' ? null : style.stroke,
    strokeM: parseFloat(style.strokeWidth),
    dash: style.strokeDasharray === 'none' ? [] : style.strokeDasharray.split(/[ ,]+/).map(parseFloat),
    cap: style.strokeLinecap as CanvasLineCap,
    join: style.strokeLinejoin as CanvasLineJoin,
    strokeFirst: style.paintOrder.startsWith('stroke'),
    font: [`${style.fontStyle} ${style.fontWeight}`, style.fontFamily],
    anchor: style.textAnchor,
  };
}
