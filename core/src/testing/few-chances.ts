import fc from 'fast-check';

// A mutant that a few made-up cases do not meet, a hundred seldom do; and they would take ten times as long.
fc.configureGlobal({ numRuns: 15 });
