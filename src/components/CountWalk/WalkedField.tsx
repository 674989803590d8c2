import { Button, TextInput, type TextInputProps } from '@mantine/core';
import { IconWalk } from '@tabler/icons-react';
import classes from './CountWalk.module.css';

type WalkedFieldProps = Omit<TextInputProps, 'onChange' | 'label'> & {
  label: string;
  onType: (text: string) => void;
  /** Counts it while walking; null where nobody's step is known. */
  onWalk: (() => void) | null;
};

/** A length that is typed, in a unit or in steps, or counted while it is walked. */
export function WalkedField({ label, onType, onWalk, ...field }: WalkedFieldProps) {
  return (
    <div className={classes.field}>
      <TextInput label={label} autoComplete="off" {...field} onChange={event => onType(event.currentTarget.value)} />
      {onWalk && (
        <Button variant="default" aria-label={`Walk it: ${label}`} onClick={onWalk}>
          <IconWalk size={20} />
        </Button>
      )}
    </div>
  );
}
