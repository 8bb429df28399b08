/** What a thing of the shop that is no part of an ignition is used for; a size follows where it has one, as in `socket-16`. */
export const SUNDRY_USE = /^[a-z]+(?:-[a-z0-9.]+)*$/;

/** The socket of a size, in whole or half millimetres as it is sold. */
export const socketUse = (mm: number): string => `socket-${mm}`;
