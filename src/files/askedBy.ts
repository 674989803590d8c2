/** The header by which a page names what it asked for, to ask later how many are before it. */
export const ASKED_BY = 'x-roan-asked-by';
