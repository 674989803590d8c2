import { Button, type ButtonProps } from '@mantine/core';
import classes from './FieldStandIn.module.css';

/** A key as it looks before what it opens is there. */
export function KeyStandIn({ className = '', ...props }: ButtonProps & { 'aria-label'?: string }) {
  return <Button {...props} disabled data-on-its-way className={`${classes.key} ${className}`} />;
}
