/** What judges a layout is heavy, and not needed before the page is there: it is loaded behind it. */
export { dragFigure, layOutPlaced, oneMore, planCautions, typeAsked, typeDistance, typeHeight } from '@/core';
export { offeredMend } from './offeredMend';
