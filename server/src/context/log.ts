import pino, { type Logger } from 'pino';

/** A log that says nothing: for tests, and for programs that use the server's parts without serving. */
export const silentLog = (): Logger => pino({ level: 'silent' });
