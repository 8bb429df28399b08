import { describe, expect, test } from '@jest/globals';
import { CatalogueFile } from '@brackenfell/contract/catalogue-file';
import { decodeNumber, type NumberGrammar } from '@brackenfell/core/part-numbers/grammar';
import { demoWorld } from './world.ts';

const world = CatalogueFile.parse(demoWorld);

describe('the numbering schemes of the demo makers', () => {
  test.each(world.grammars.map((grammar) => [grammar.maker, grammar] as const))(
    'every number of %s is of its scheme and every code in it is explained',
    (maker, grammar) => {
      const numbers = world.plugs.filter((plug) => plug.maker === maker).map(({ number }) => number);
      expect(numbers.length).toBeGreaterThan(20);
      const unread = numbers.filter((number) => {
        const decoded = decodeNumber(number, grammar as NumberGrammar);
        return decoded.kind !== 'decoded' || decoded.fields.some(({ known }) => !known);
      });
      expect(unread).toEqual([]);
    },
  );
});
