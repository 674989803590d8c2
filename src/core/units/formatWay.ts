import { M_PER_FT, M_PER_YD, type LengthUnit } from './lengthUnits';

/**
 * A way that somebody walks, as people say it: whole metres, feet or yards, from a hundred on in tens: "48 m", "620 m", "2,030 ft".
 * @param lengthM - metres, finite, ≥ 0
 * @throws {RangeError} a negative or infinite length
 */
export function formatWay(lengthM: number, unit: LengthUnit): string {
  if (!(lengthM >= 0 && lengthM < Infinity)) throw new RangeError(`formatWay(${lengthM})`);
  const [eachM, name] = unit === 'ft' ? [M_PER_FT, 'ft'] : unit === 'yd' ? [M_PER_YD, 'yd'] : [1, 'm'];
  const exact = lengthM / eachM;
  const step = exact < 100 ? 1 : 10;
  return `${(Math.round(exact / step) * step).toLocaleString('en-GB')} ${name}`;
}
