/** Common practice, no source: nobody hurries over sand with a pole or a tape, 4 km in an hour. */
const WALK_M_PER_MIN = 4000 / 60;
/** Common practice, no source: to lay a tape or count a way and read it again. */
const MEASURE_MIN = 0.25;
/** Common practice, no source: to put a piece down or take it up, to hang a rail. */
const HANDLE_MIN = 0.15;

export type SettingEffort = { walkedM: number; measures: number; handled: number };

/** How long one person takes, in whole minutes, never none. */
export function settingMinutes({ walkedM, measures, handled }: SettingEffort): number {
  return Math.max(1, Math.round(walkedM / WALK_M_PER_MIN + measures * MEASURE_MIN + handled * HANDLE_MIN));
}
