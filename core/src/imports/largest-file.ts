/** A file of a list is at most so large. */
export const LARGEST_FILE_BYTES = 64 * 1024 * 1024;
