import type { Connector } from '../facts/coil-facts.ts';

/** The faces of connectors, in words. */
export const CONNECTOR_WORDS: Readonly<Record<Connector, string>> = {
  'flat-left': 'flat, key on the left',
  'flat-right': 'flat, key on the right',
  'flat-twin': 'flat, two keys',
  'oval-top': 'oval, key on top',
  'oval-twin': 'oval, two keys',
  'square-top': 'square, key on top',
  'square-corner': 'square, cut corner',
  screws: 'screw terminals',
};
