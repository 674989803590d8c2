import { assertNever } from '../assertNever';
import type { Figure, PlannedFigure } from './figure';

const metres = (lengthM: number) => `${Math.round(lengthM * 10) / 10} m`;

/** What a figure is called: by its name, else by what it is: "20 m circle", "serpentine of 3 loops". */
export function figureWords({ name, figure, parts }: Pick<PlannedFigure, 'name' | 'figure' | 'parts'>): string {
  if (name !== null) return name;
  const sideways = parts.find(part => part.sideways)?.sideways;
  if (sideways) return sideways.replaceAll('-', ' ');
  const rest = parts.find(part => part.rest)?.rest;
  if (rest) return rest.replace('-', ' ');
  return kindOf(figure);
}

function kindOf(figure: Figure): string {
  switch (figure.kind) {
    case 'circle':
      return `${metres(figure.diameterM)} circle`;
    case 'spiral':
      return `spiral, ${metres(figure.diametersM[0]!)} to ${metres(Math.min(...figure.diametersM))}${figure.school === 'yield' ? ', yielding in' : ''}`;
    case 'serpentine':
      return `serpentine of ${figure.loops} loops${figure.yieldM ? ', yielding out' : ''}`;
    case 'eight':
      return figure.firstDiameterM === figure.secondDiameterM
        ? `eight of ${metres(figure.firstDiameterM)}`
        : `eight of ${metres(figure.firstDiameterM)} and ${metres(figure.secondDiameterM)}`;
    case 'half-circle-return':
      return `${metres(figure.diameterM)} half circle and return`;
    case 'change-rein':
      return 'change of rein';
    case 'round-arena':
      return 'round the arena';
    case 'shallow-loop':
      return `shallow loop of ${metres(figure.depthM)}`;
    case 'straight':
      return `straight line of ${metres(figure.lengthM)}`;
    case 'sideways':
      return figure.movement;
    case 'rail-turnback':
      return 'rail turnback';
    case 'station':
      return figure.deed.kind.replaceAll('-', ' ');
    default:
      return assertNever(figure);
  }
}
