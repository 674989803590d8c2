import { waitFor } from '@testing-library/react';

/** Until what stands in for fields and keys has given way to them. */
export const alive = () => waitFor(() => expect(document.querySelector('[data-on-its-way]')).toBeNull());
