/** A list that cannot be read, with what to do about it: told to whoever sent it. */
export class UnreadableList extends Error {}
