import { assertNever } from '../assertNever';
import { M_PER_CM, M_PER_FT, M_PER_HAND, M_PER_IN, M_PER_YD, type LengthUnit } from './lengthUnits';

export type FormatLengthOptions = {
  /** Metres of one of the reader's own steps; needed for the unit "steps". */
  stepLengthM?: number;
  /** Decimals for metres (2 by default) and centimetres (0 by default). */
  decimals?: number;
  /** Parts of an inch that feet and yards are written to: 8 for a tape (the default), 2 for reading. */
  inchParts?: 2 | 8;
};

const EIGHTHS = ['', '⅛', '¼', '⅜', '½', '⅝', '¾', '⅞'] as const;

/**
 * Writes a length in the unit chosen, in a form that parseLength reads back: "1.37 m", "137 cm", "4 ft 6 in",
 * "10 yd 1 ft", "15.2 hh", "7½ steps". Feet and yards go to the nearest eighth of an inch unless asked otherwise, hands to the nearest half
 * inch, steps to the nearest half step.
 * @param lengthM - metres, finite, ≥ 0
 * @throws {RangeError} a negative or infinite length, or steps without a step length
 */
export function formatLength(lengthM: number, unit: LengthUnit, options: FormatLengthOptions = {}): string {
  if (!(lengthM >= 0 && lengthM < Infinity)) throw new RangeError(`formatLength(${lengthM})`);
  switch (unit) {
    case 'm':
      return `${lengthM.toFixed(options.decimals ?? 2)} m`;
    case 'cm':
      return `${(lengthM / M_PER_CM).toFixed(options.decimals ?? 0)} cm`;
    case 'ft':
      return inInches(lengthM, [['ft', M_PER_FT / M_PER_IN]], options.inchParts);
    case 'yd':
      return inInches(
        lengthM,
        [
          ['yd', M_PER_YD / M_PER_IN],
          ['ft', M_PER_FT / M_PER_IN],
        ],
        options.inchParts,
      );
    case 'hands':
      return inHands(lengthM);
    case 'steps':
      return inSteps(lengthM, options.stepLengthM);
    default:
      return assertNever(unit);
  }
}

/** A number of eighths as text: 36 → "4½", 3 → "⅜", 0 → "0". */
function eighthsText(eighths: number): string {
  const whole = Math.floor(eighths / 8);
  const part = EIGHTHS[eighths % 8] ?? '';
  return whole === 0 && part !== '' ? part : `${whole}${part}`;
}

function inInches(lengthM: number, larger: [string, number][], inchParts: 2 | 8 = 8): string {
  let eighthsLeft = Math.round((lengthM / M_PER_IN) * inchParts) * (8 / inchParts);
  const parts: string[] = [];
  for (const [name, inches] of larger) {
    const count = Math.floor(eighthsLeft / (Math.round(inches) * 8));
    eighthsLeft -= count * Math.round(inches) * 8;
    if (count > 0) parts.push(`${count} ${name}`);
  }
  if (eighthsLeft > 0 || parts.length === 0) parts.push(`${eighthsText(eighthsLeft)} in`);
  return parts.join(' ');
}

function inHands(lengthM: number): string {
  const halfInches = Math.round((lengthM / M_PER_IN) * 2);
  const halfInchesPerHand = Math.round(M_PER_HAND / M_PER_IN) * 2;
  const hands = Math.floor(halfInches / halfInchesPerHand);
  const rest = halfInches - hands * halfInchesPerHand;
  return `${hands}.${Math.floor(rest / 2)}${rest % 2 === 1 ? '½' : ''} hh`;
}

function inSteps(lengthM: number, stepLengthM: number | undefined): string {
  if (stepLengthM === undefined || !(stepLengthM > 0 && stepLengthM < Infinity))
    throw new RangeError(`formatLength: stepLengthM ${stepLengthM}`);
  const halves = Math.round((lengthM / stepLengthM) * 2);
  return `${eighthsText(halves * 4)} ${halves <= 2 && halves > 0 ? 'step' : 'steps'}`;
}

/** A length as it is read on the screen: to the centimetre, or to the half inch. parseLength reads it back. */
export function formatReading(lengthM: number, unit: LengthUnit): string {
  return formatLength(lengthM, unit, { inchParts: 2 });
}
