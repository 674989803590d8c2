/** What the rest of Roan uses of this folder; src/core/index.ts hands it on. */
export { LENGTH_UNITS, M_PER_FT, type LengthUnit } from './lengthUnits';
export { parseLength, type ParseLengthOptions, type UsualLength } from './parseLength';
export { scaleBarOf } from './scaleBar';
export { sayLengths } from './sayLengths';
export { formatTape } from './formatTape';
export { formatWay } from './formatWay';
export { tapeGrids } from './tapeGrids';
export { formatLength, formatReading } from './formatLength';
export { stepsText } from './stepsText';
