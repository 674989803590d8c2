import { formatLength } from './formatLength';
import { M_PER_CM, M_PER_FT, M_PER_HAND, M_PER_IN, M_PER_YD, type LengthUnit } from './lengthUnits';

export type ParsedLength = { ok: true; lengthM: number } | { ok: false; reason: string };

export type ParseLengthOptions = {
  /** What a bare number means; metres when left out. */
  defaultUnit?: LengthUnit;
  /** Metres of one of the reader's own steps; without it "7 steps" is refused. */
  stepLengthM?: number;
  /** What is usual for such a length: a bare number far from it, and within it in another unit, is asked about. */
  usual?: UsualLength;
};

/** From the least to the most that practice has of something, metres. */
export type UsualLength = { leastM: number; mostM: number };

type UnitWord = 'm' | 'cm' | 'mm' | 'ft' | 'in' | 'yd' | 'hands' | 'steps';
type Quantity = { value: number; unit: UnitWord | null; text: string; isWhole: boolean };
type Refusal = { ok: false; reason: string };

const UNIT_WORDS: Record<string, UnitWord> = {
  m: 'm',
  metre: 'm',
  metres: 'm',
  meter: 'm',
  meters: 'm',
  cm: 'cm',
  centimetre: 'cm',
  centimetres: 'cm',
  centimeter: 'cm',
  centimeters: 'cm',
  mm: 'mm',
  millimetre: 'mm',
  millimetres: 'mm',
  "'": 'ft',
  '′': 'ft',
  '’': 'ft',
  ft: 'ft',
  foot: 'ft',
  feet: 'ft',
  '"': 'in',
  '″': 'in',
  '”': 'in',
  "''": 'in',
  in: 'in',
  inch: 'in',
  inches: 'in',
  yd: 'yd',
  yds: 'yd',
  yard: 'yd',
  yards: 'yd',
  h: 'hands',
  hh: 'hands',
  hand: 'hands',
  hands: 'hands',
  step: 'steps',
  steps: 'steps',
};

/** Coarse to fine, for "10 yd 1 ft 3 in": each unit may only follow a coarser one. */
const COARSENESS: Record<UnitWord, number> = { steps: 6, yd: 5, ft: 4, hands: 4, m: 3, in: 2, cm: 2, mm: 1 };

const FRACTIONS: Record<string, number> = {
  '½': 1 / 2,
  '¼': 1 / 4,
  '¾': 3 / 4,
  '⅛': 1 / 8,
  '⅜': 3 / 8,
  '⅝': 5 / 8,
  '⅞': 7 / 8,
  '⅓': 1 / 3,
  '⅔': 2 / 3,
  '⅕': 1 / 5,
  '⅖': 2 / 5,
  '⅗': 3 / 5,
  '⅘': 4 / 5,
  '⅙': 1 / 6,
  '⅚': 5 / 6,
  '⅐': 1 / 7,
  '⅑': 1 / 9,
  '⅒': 1 / 10,
};

const GLYPHS = Object.keys(FRACTIONS).join('');

const MAX_LENGTH_M = 100_000;

/** A number, with a fraction behind it ("4½", "4 1/2", "4-1/2"), or a fraction alone; then its unit, if one is written. */
const QUANTITY = new RegExp(
  `^\\s*(?:(\\d+)/(\\d+)|(\\d+(?:[.,]\\d*)?|[.,]\\d+)(?:\\s*-?\\s*([${GLYPHS}])|(?:\\s+|\\s*-\\s*)(\\d+)/(\\d+))?|([${GLYPHS}]))` +
    `\\s*(''|['′’"″”]|[a-z]+\\.?)?`,
  'i',
);

/**
 * Reads a length as people type it: `1.37`, `137cm`, `4'6"`, `4 ft 6`, `10yd 1ft`, `15.2hh`, `7 steps`, `4 1/2 in`.
 * A bare number at the end of a compound takes the next finer unit ("4 ft 6" is six inches).
 * @returns the length in metres, or a sentence saying why it is none
 * @throws {RangeError} a step length that is not positive and finite
 */
export function parseLength(text: string, options: ParseLengthOptions = {}): ParsedLength {
  const { stepLengthM } = options;
  if (stepLengthM !== undefined && !(stepLengthM > 0 && stepLengthM < Infinity))
    throw new RangeError(`parseLength: stepLengthM ${stepLengthM}`);
  const trimmed = text.trim();
  if (trimmed === '') return refuse('Type a length, such as 1.37 m or 4\'6".');
  if (/^[-−]/.test(trimmed)) return refuse(`A length cannot be negative: “${trimmed}”.`);
  const quantities = readQuantities(trimmed);
  if (!Array.isArray(quantities)) return quantities;
  const read = addUp(quantities, options.defaultUnit ?? 'm', stepLengthM);
  return read.ok ? (askedAbout(quantities, read.lengthM, options) ?? read) : read;
}

function refuse(reason: string): Refusal {
  return { ok: false, reason };
}

function readQuantities(text: string): Quantity[] | Refusal {
  const quantities: Quantity[] = [];
  let rest = text;
  while (rest.trim() !== '') {
    const match = QUANTITY.exec(rest);
    if (!match) return refuse(`“${rest.trim()}” is not a length: a number is missing.`);
    const quantity = readQuantity(match);
    if ('ok' in quantity) return quantity;
    quantities.push(quantity);
    rest = rest.slice(match[0].length);
  }
  return quantities;
}

function readQuantity(match: RegExpExecArray): Quantity | Refusal {
  const [, loneOver, loneUnder, whole, glyph, over, under, loneGlyph, unitText] = match;
  const shown = match[0].trim();
  if (whole !== undefined && /^\d{1,3},\d{3}$/.test(whole))
    return refuse(`“${whole}” can be read in two ways: write ${whole.replace(',', '.')} or ${whole.replace(',', '')}.`);
  const unit = unitText === undefined ? null : UNIT_WORDS[unitText.toLowerCase().replace(/\.$/, '')];
  if (unit === undefined) return refuse(`“${unitText}” is not a unit Roan knows: use m, cm, ft, in, yd, hh or steps.`);
  const fraction = readFraction(glyph ?? loneGlyph, over ?? loneOver, under ?? loneUnder);
  if (fraction === null) return refuse(`“${shown}” divides by nothing.`);
  const value = (whole === undefined ? 0 : Number(whole.replace(',', '.'))) + fraction;
  return { value, unit, text: shown, isWhole: whole === undefined || /^\d+$/.test(whole) };
}

function readFraction(glyph?: string, over?: string, under?: string): number | null {
  if (glyph !== undefined) return FRACTIONS[glyph] ?? null;
  if (over === undefined || under === undefined) return 0;
  return Number(under) === 0 ? null : Number(over) / Number(under);
}

function addUp(quantities: Quantity[], defaultUnit: LengthUnit, stepLengthM: number | undefined): ParsedLength {
  let totalM = 0;
  let previous: UnitWord | null = null;
  for (const [index, quantity] of quantities.entries()) {
    // “1 000” and “1.2.3” are no lengths of two parts: only the last part may leave its unit out.
    if (quantity.unit === null && index < quantities.length - 1)
      return refuse(
        `“${quantities.map(({ text }) => text).join(' ')}” can be read in more than one way: write one number, or the unit of each.`,
      );
    const unit: UnitWord | null = quantity.unit ?? (previous === null ? defaultUnit : finerUnit(previous));
    if (unit === null) return refuse(`Say what “${quantity.text}” is in: its unit is missing.`);
    if (previous !== null && COARSENESS[unit] >= COARSENESS[previous])
      return refuse(`“${quantity.text}” cannot follow a length in ${unitName(previous)}.`);
    const most = previous === null ? undefined : MOST_IN[previous]?.[unit];
    if (most !== undefined && quantity.value >= most)
      return refuse(
        `“${quantity.text}” is ${most} ${unitName(unit)} or more, which is a whole ${SINGULAR[previous!]}: check it.`,
      );
    const metres = toMetres(quantity, unit, stepLengthM);
    if (typeof metres !== 'number') return metres;
    totalM += metres;
    previous = unit;
  }
  if (!(totalM <= MAX_LENGTH_M)) return refuse('That is longer than any arena: check the number.');
  return { ok: true, lengthM: totalM };
}

/** How many of a finer unit make one of the coarser before it: so many and more were mistyped. */
const MOST_IN: Partial<Record<UnitWord, Partial<Record<UnitWord, number>>>> = {
  yd: { ft: 3, in: 36 },
  ft: { in: 12 },
  hands: { in: 4 },
  m: { cm: 100, mm: 1000 },
  cm: { mm: 10 },
};

const SINGULAR: Record<UnitWord, string> = {
  ...{ m: 'metre', cm: 'centimetre', mm: 'millimetre' },
  ...{ ft: 'foot', in: 'inch', yd: 'yard', hands: 'hand', steps: 'step' },
};

/** A bare number far from what is usual, that would be usual in another unit, is asked about and not believed. */
function askedAbout(
  quantities: readonly Quantity[],
  lengthM: number,
  { usual, defaultUnit = 'm' }: ParseLengthOptions,
): Refusal | null {
  const [only, ...more] = quantities;
  if (!usual || !only || more.length > 0 || only.unit !== null) return null;
  const isUsual = (metres: number) => metres >= usual.leastM && metres <= usual.mostM;
  if (isUsual(lengthM)) return null;
  for (const unit of ['m', 'ft', 'cm', 'yd'] as const) {
    const other = unit === defaultUnit ? null : toMetres(only, unit, undefined);
    if (typeof other === 'number' && isUsual(other))
      return refuse(
        `“${only.text}”: ${formatLength(other, unit)}, or ${formatLength(lengthM, defaultUnit === 'steps' ? 'm' : defaultUnit)}? Write it with its unit.`,
      );
  }
  return null;
}

function finerUnit(unit: UnitWord): UnitWord | null {
  if (unit === 'yd') return 'ft';
  if (unit === 'ft') return 'in';
  if (unit === 'm') return 'cm';
  return null;
}

function unitName(unit: UnitWord): string {
  const names: Record<UnitWord, string> = {
    m: 'metres',
    cm: 'centimetres',
    mm: 'millimetres',
    ft: 'feet',
    in: 'inches',
    yd: 'yards',
    hands: 'hands',
    steps: 'steps',
  };
  return names[unit];
}

function toMetres(quantity: Quantity, unit: UnitWord, stepLengthM: number | undefined): number | Refusal {
  switch (unit) {
    case 'm':
      return quantity.value;
    case 'cm':
      return quantity.value * M_PER_CM;
    case 'mm':
      return quantity.value / 1000;
    case 'ft':
      return quantity.value * M_PER_FT;
    case 'in':
      return quantity.value * M_PER_IN;
    case 'yd':
      return quantity.value * M_PER_YD;
    case 'hands':
      return handsToMetres(quantity);
    case 'steps':
      return stepLengthM === undefined
        ? refuse('Steps need a step length: measure your own step in the yard first.')
        : quantity.value * stepLengthM;
  }
}

/** Hands are written with the inches after the point: 15.2 is fifteen hands two inches, so .4 to .9 is no height. */
function handsToMetres(quantity: Quantity): number | Refusal {
  if (quantity.isWhole) return quantity.value * M_PER_HAND;
  const match = /^(\d+)[.,](\d)(.*)$/.exec(quantity.text);
  if (!match || Number(match[2]) > 3 || /^\d/.test(match[3] ?? ''))
    return refuse(`“${quantity.text}” is not a height in hands: after the point come inches, 0 to 3.`);
  const partInches = quantity.value - Number(`${match[1]}.${match[2]}`);
  return Number(match[1]) * M_PER_HAND + (Number(match[2]) + partInches) * M_PER_IN;
}
