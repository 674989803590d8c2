import { TextInput, type TextInputProps } from '@mantine/core';
import classes from './FieldStandIn.module.css';

/** What a field looks like, whatever it takes. */
type Looks = Pick<
  TextInputProps,
  'label' | 'description' | 'placeholder' | 'error' | 'size' | 'w' | 'maw' | 'mt' | 'aria-label'
>;

/** A field as it looks before it is alive, with what it says; what cannot be typed into yet takes nothing that would be lost. */
export function FieldStandIn({ of, says }: { of: Looks; says: string }) {
  const { label, description, placeholder, error, size, w, maw, mt } = of;
  return (
    <TextInput
      {...{ label, description, placeholder, error, size, w, maw, mt }}
      aria-label={of['aria-label']}
      value={says}
      readOnly
      disabled
      data-on-its-way
      classNames={{ input: classes.input }}
    />
  );
}
