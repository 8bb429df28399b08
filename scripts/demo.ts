import { join } from 'node:path';
import { demoStaff } from '@brackenfell/demo/staff';
import { dataFolder } from './cluster.ts';
import { fillDemo } from './fill-demo.ts';
import { alreadyRunning, failWith, removeInstance, runInstance, say } from './instance.ts';
import { ROOT, STATE } from './places.ts';

const USUAL_PORT = 8417;

async function main(): Promise<void> {
  const fresh = process.argv.includes('--fresh');
  const places = { state: STATE, data: dataFolder(STATE, say) };
  const running = alreadyRunning(places);
  if (running) {
    const serves = await fetch(`${running}/api/health`).then(
      ({ ok }) => ok,
      () => false,
    );
    if (!serves) say('It does not serve just now: its database is started again, or see its own window.');
    say(`Brackenfell is already running: ${running}${fresh ? '\nStop it first to start over.' : ''}`);
    process.exitCode = fresh ? 1 : 0;
    return;
  }
  if (fresh) await removeInstance(places);
  await runInstance({
    places,
    program: join(ROOT, 'scripts', 'demo.ts'),
    port: USUAL_PORT,
    prepare: async (ownerUrl) => {
      await fillDemo(ownerUrl, say);
      return {};
    },
    greet: (address) => {
      say(`\nBrackenfell is at ${address}\n`);
      say('Sign in with (PIN for handing over the counter):');
      for (const { name, role, password, pin } of demoStaff)
        say(`  ${name.padEnd(8)} ${password.padEnd(22)} ${pin}  ${role}`);
      say('\nCtrl-C stops everything; the data is kept. --fresh starts over.');
    },
  });
}

main().catch(failWith);
