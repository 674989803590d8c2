/** What floats over a page to choose from: fetched together. */
export { Select, TagsInput } from '@mantine/core';
