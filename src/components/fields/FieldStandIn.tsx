import { TextInput, type TextInputProps } from '@mantine/core';
import classes from './FieldStandIn.module.css';

/** A field as it looks before it is alive, with what it says; what cannot be typed into yet takes nothing that would be lost. */
export function FieldStandIn({ says, ...props }: TextInputProps & { says: string }) {
  return <TextInput {...props} value={says} readOnly disabled data-on-its-way classNames={{ input: classes.input }} />;
}
