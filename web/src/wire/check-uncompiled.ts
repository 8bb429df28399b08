/**
 * What a form checks is not compiled here: the page may run no made-up code, and asking whether it may is reported. Said
 * where the schema library looks as it is loaded, for it is not part of the first load.
 */
(globalThis as { __zod_globalConfig?: { jitless: boolean } }).__zod_globalConfig = { jitless: true };
