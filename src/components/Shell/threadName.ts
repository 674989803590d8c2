/** The cookie in which a device remembers what one is working on. */
export const THREAD_COOKIE = 'roan-thread';
