export { NumberInput as default } from '@mantine/core';
