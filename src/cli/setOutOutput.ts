import {
  MEASURE_BY,
  facingFromHeading,
  placingTolerance,
  settingSheet,
  sheetLabels,
  stepRounding,
  type Layout,
  type LengthUnit,
  type SetPeg,
  type SetPiece,
  type SettingSheet,
  type SettingWish,
} from '@/core';
import { stepSvg } from '@/files/layoutSvg';
import { printedSheet, roundedLengths, type PrintedLine } from '@/files/printedSheet';
import { stepPicture } from '@/files/stepPicture';

export const SET_OUT_OPTIONS = {
  unit: { type: 'string' },
  'measure-by': { type: 'string' },
  'step-cm': { type: 'string' },
  pictures: { type: 'boolean' },
} as const;

export type SetOutWish = {
  unit: LengthUnit;
  measureBy: SettingWish['measureBy'];
  stepM: number | null;
  pictures: boolean;
};

/** The wishes that were typed, or a sentence about the one that cannot be. */
export function setOutWish(values: Record<string, unknown>): SetOutWish | string {
  const unit = values.unit ?? 'm';
  if (unit !== 'm' && unit !== 'ft' && unit !== 'yd') return `--unit ${String(unit)}: say m, ft or yd.`;
  const measureBy = MEASURE_BY.find(by => by === (values['measure-by'] ?? 'line'));
  if (!measureBy) return `--measure-by ${String(values['measure-by'])}: say line, walls or tapes.`;
  const stepCm = values['step-cm'] === undefined ? null : Number(values['step-cm']);
  if (stepCm !== null && !(stepCm >= 30 && stepCm <= 150))
    return `--step-cm ${String(values['step-cm'])}: a step is 30 to 150 cm.`;
  return { unit, measureBy, stepM: stepCm === null ? null : stepCm / 100, pictures: values.pictures === true };
}

/** Rounded to the micron here and nowhere before. */
const toMicron = (metres: number) => Math.round(metres * 1e6) / 1e6 + 0;

/** The setting sheet of a layout in the shape that the command line promises. */
export function setOutOutput(layout: Layout, { unit, measureBy, stepM, pictures }: SetOutWish) {
  const from = { xM: layout.arena.widthM / 2, yM: 0 };
  const sheet = settingSheet(layout, { measureBy, from });
  const reader = { unit, stepM };
  const printed = printedSheet(layout, sheet, reader, roundedLengths(layout, sheet, reader));
  const numberOf = sheetLabels(layout);
  const picture = (set: SetPeg | SetPiece, lines: readonly PrintedLine[]) =>
    pictures ? { picture: stepSvg(stepPicture(layout, sheet, { set, lines, numberOf })) } : {};
  return {
    name: layout.name,
    kit: Object.fromEntries(printed.kit.map(({ kind, needed, lacking }) => [kind, { needed, lacking }])),
    pegs: printed.pegs.map(({ peg, lines }, index) => ({
      peg,
      ...place(sheet.pegs[index]!.at),
      measures: lines.map(lineOutput),
      ...picture(sheet.pegs[index]!, lines),
    })),
    pieces: sheet.pieces.map((piece, index) => {
      const { item, number, points } = piece;
      const { number: label, name, lines, checks, notes } = printed.pieces[index]!;
      return {
        number,
        label,
        item: item.id,
        name,
        facingDeg: 'headingRad' in item ? toMicron(facingFromHeading(item.headingRad)) : null,
        points: points.map(({ end, at }) => ({ end, ...place(at) })),
        measures: lines.map(lineOutput),
        checks: checks.map(({ lengthM, ...check }) => ({ ...check, lengthM: toMicron(lengthM) })),
        notes,
        ...picture(piece, lines),
      };
    }),
    worstErrorM: toMicron(sheet.worstErrorM),
    tolerance: placingTolerance(layout).map(({ offM, ...rest }) => ({ ...rest, offM: toMicron(offM) })),
    halfSteps: stepM === null ? null : halfStepsOutput(layout, sheet, stepM),
  };
}

const place = ({ xM, yM }: { xM: number; yM: number }) => ({ xM: toMicron(xM), yM: toMicron(yM) });

function lineOutput({ lengthM, steps, roundedSteps, ...line }: PrintedLine) {
  return { ...line, lengthM: toMicron(lengthM), ...(steps === null ? {} : { steps, roundedSteps }) };
}

function halfStepsOutput(layout: Layout, sheet: SettingSheet, stepM: number) {
  const rounding = stepRounding(layout, sheet, stepM);
  return {
    stepM,
    steps: Object.fromEntries(rounding.steps),
    changedWords: rounding.changedWords,
    changes: rounding.changes.map(({ longerM, groundM, ...rest }) => ({
      ...rest,
      groundM: toMicron(groundM),
      longerM: toMicron(longerM),
    })),
    isBest: rounding.isBest,
  };
}
