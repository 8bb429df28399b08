import { pairCheck } from '../pair-check.ts';

export const rotorPair = pairCheck('rotor.family', 'cap');
