import fc from 'fast-check';
import { runs } from './runs.ts';

// For the properties that do not say how often they are tried.
fc.configureGlobal({ numRuns: runs(100) });
