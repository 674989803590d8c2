import { NativeSelect, TextInput } from '@mantine/core';
import type { SideChoice } from '@/core';
import classes from './SideFields.module.css';

type Option = { value: string; label: string };
type SideFieldsProps = {
  side: 'a' | 'b';
  /** "One side", "the other". */
  legend: string;
  chosen: SideChoice;
  pairs: Option[];
  layouts: Option[];
  /** The settings of the layout that is chosen. */
  settings: Option[];
};

const REINS = [
  { value: '', label: 'Both reins' },
  { value: 'left', label: 'Left rein' },
  { value: 'right', label: 'Right rein' },
];

/** What one side of a comparison is of. */
export function SideFields({ side, legend, chosen, pairs, layouts, settings }: SideFieldsProps) {
  return (
    <fieldset className={classes.side}>
      <legend>{legend}</legend>
      <NativeSelect
        label="Pair"
        name={`${side}Pair`}
        defaultValue={chosen.pairId ?? ''}
        data={[{ value: '', label: 'All pairs' }, ...pairs]}
      />
      <NativeSelect
        label="Layout"
        name={`${side}Layout`}
        defaultValue={chosen.layoutId ?? ''}
        data={[{ value: '', label: 'All layouts' }, ...layouts]}
      />
      {settings.length > 0 && (
        <NativeSelect
          label="As it was set"
          name={`${side}Setting`}
          defaultValue={chosen.layoutVersionId ?? ''}
          data={[{ value: '', label: 'However it was set' }, ...settings]}
        />
      )}
      <NativeSelect label="Rein" name={`${side}Rein`} defaultValue={chosen.rein ?? ''} data={REINS} />
      <TextInput type="date" label="From day" name={`${side}From`} defaultValue={chosen.fromDay ?? ''} />
      <TextInput type="date" label="Until day" name={`${side}Until`} defaultValue={chosen.untilDay ?? ''} />
    </fieldset>
  );
}
