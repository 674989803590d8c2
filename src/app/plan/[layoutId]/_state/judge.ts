/** What judges a layout is heavy, and not needed before the page is there: it is loaded behind it. */
export { layoutCautions, layOutPlaced } from '@/core';
export { offeredMend } from './offeredMend';
