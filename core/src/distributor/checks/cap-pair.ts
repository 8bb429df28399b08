import { pairCheck } from '../pair-check.ts';

export const capPair = pairCheck('cap.family', 'rotor');
