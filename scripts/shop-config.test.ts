import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { readShopConfig } from './shop-config.ts';

let folder = '';
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'brackenfell-config-'));
});
afterEach(() => rmSync(folder, { recursive: true, force: true }));

const read = (written: string | object, env: NodeJS.ProcessEnv = {}) => {
  const file = join(folder, 'brackenfell.json');
  writeFileSync(file, typeof written === 'string' ? written : JSON.stringify(written));
  return readShopConfig({ BRACKENFELL_CONFIG: file, ...env }, () => undefined);
};

describe('the settings of a shop', () => {
  test('come from one file, over which the environment goes, and reach the server by its own variables', () => {
    const config = read(
      { state: join(folder, 'own'), port: 9000, hosts: 'counter.example', trustProxy: 1, log: 'info' },
      { BRACKENFELL_PORT: '9100', BRACKENFELL_LOG: 'error' },
    );
    expect(config.port).toBe(9100);
    expect(config.places.state).toBe(join(folder, 'own'));
    expect(config.places.wal).toBeUndefined();
    expect(config.server).toEqual({
      BRACKENFELL_HOSTS: 'counter.example',
      BRACKENFELL_TRUST_PROXY: '1',
      BRACKENFELL_LOG: 'error',
    });
  });

  test('that are misspelt, no settings, or a path a shell would read otherwise stop the start and say which', () => {
    expect(() => read({ prot: 8418 })).toThrow(/prot/);
    expect(() => read({ port: 'eight' })).toThrow(/port/);
    expect(() => read({ log: 'loud' })).toThrow(/log/);
    expect(() => read('{ "port": ')).toThrow(/is no JSON/);
    for (const journal of ["/var/it's", '/var/$(reboot)', '/var/a;b', '/var/"x"'])
      expect(() => read({ journal })).toThrow(/journal must be a path/);
    expect(() => readShopConfig({ BRACKENFELL_CONFIG: join(folder, 'gone.json') }, () => undefined)).toThrow(
      /is not there/,
    );
  });

  test('left out, they are those of a shop beside the demo, with a journal nowhere', () => {
    const { port, places, server } = readShopConfig({}, () => undefined);
    expect([port, places.wal, server]).toEqual([8418, undefined, {}]);
    expect(places.state).toMatch(/\.brackenfell\/shop$/);
  });
});
