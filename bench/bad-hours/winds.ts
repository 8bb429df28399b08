import { execFileSync } from 'node:child_process';
import { readFileSync, rmSync, writeFileSync } from 'node:fs';
import { connect, type Socket } from 'node:net';
import { join } from 'node:path';
import { setTimeout as sleep } from 'node:timers/promises';
import pg from 'pg';
import type { Cluster } from '@brackenfell/scripts/cluster';
import { crash } from '../faults/crash.ts';

/** What a bad hour has at hand to do harm with. */
export interface Site {
  cluster: Cluster;
  readonly reopen: (port: number) => Promise<Cluster>;
  readonly database: string;
  readonly address: () => string;
  /** A disk of the database's own, small enough to be filled; none where one could not be made. */
  readonly disk: string | undefined;
}

/** Something that goes wrong: it lasts for as long as it is let, and is over when `calm` is. */
export interface Wind {
  readonly name: string;
  blow(site: Site): Promise<{ calm: () => Promise<void> }>;
}

const CROWD = 300;

/** Fast wrong sign-ins, from as many hands as a flood has. */
const floodOfSignIns: Wind = {
  name: 'a flood of sign-ins',
  blow(site) {
    let isOver = false;
    const knock = async (hand: number) => {
      for (let i = 0; !isOver; i += 1)
        await fetch(`${site.address()}/api/session`, {
          method: 'POST',
          headers: { 'content-type': 'application/json' },
          body: JSON.stringify({ name: `Nobody ${hand} ${i}`, password: 'not the one' }),
        }).catch(() => undefined);
    };
    const hands = Array.from({ length: 40 }, (_, hand) => knock(hand));
    const calm = async () => {
      isOver = true;
      await Promise.all(hands);
    };
    return Promise.resolve({ calm });
  },
};

/** Connections that send a letter a second and never come to an end. */
const slowConnections: Wind = {
  name: `${String(CROWD)} slow connections`,
  blow(site) {
    const { port } = new URL(site.address());
    const sockets: Socket[] = Array.from({ length: CROWD }, () => {
      const socket = connect(Number(port), '127.0.0.1');
      socket.on('error', () => undefined);
      socket.write('POST /api/slips HTTP/1.1\r\nHost: 127.0.0.1\r\nX-');
      return socket;
    });
    const dribble = setInterval(() => {
      for (const socket of sockets) if (!socket.destroyed) socket.write('a');
    }, 1000);
    const calm = () => {
      clearInterval(dribble);
      for (const socket of sockets) socket.destroy();
      return Promise.resolve();
    };
    return Promise.resolve({ calm });
  },
};

/** Somebody holds what every write needs, so that all connections of the counter come to wait. */
const emptiedPool: Wind = {
  name: 'a pool that is emptied',
  async blow({ cluster, database }) {
    const holder = new pg.Client({ connectionString: cluster.superUrl(database) });
    await holder.connect();
    await holder.query('begin');
    await holder.query('lock table slip, slip_line, stock in access exclusive mode');
    const calm = async () => {
      await holder.query('rollback');
      await holder.end();
    };
    return { calm };
  },
};

/** Every process of the database stands still, as in a machine that is being moved. */
const pausedDatabase: Wind = {
  name: 'a database that stands still',
  blow({ cluster }) {
    const postmaster = Number(readFileSync(join(cluster.folder, 'postmaster.pid'), 'utf8').split('\n')[0]);
    const pids = execFileSync('ps', ['-o', 'pid=', '-p', String(postmaster), '--ppid', String(postmaster)])
      .toString()
      .trim()
      .split('\n')
      .map(Number);
    const all = (signal: 'SIGSTOP' | 'SIGCONT') => {
      for (const pid of pids)
        try {
          process.kill(pid, signal);
        } catch {
          // It has ended meanwhile.
        }
    };
    all('SIGSTOP');
    const calm = () => {
      all('SIGCONT');
      return Promise.resolve();
    };
    return Promise.resolve({ calm });
  },
};

/** The database is ended at once, as by a power cut, and is there again some seconds later. */
const restartedDatabase: Wind = {
  name: 'a database that is gone and comes back',
  blow(site) {
    site.cluster.kill();
    const calm = async () => {
      site.cluster = await crash({ ...site.cluster, kill: () => undefined }, site.reopen);
    };
    return Promise.resolve({ calm });
  },
};

/** The disk takes nothing more. */
const fullDisk: Wind = {
  name: 'a disk that is full',
  blow({ disk }) {
    const [ballast, crumbs] = [join(disk!, 'ballast'), join(disk!, 'crumbs')];
    const fill = (file: string, block: number) => {
      try {
        for (;;) writeFileSync(file, Buffer.alloc(block, 1), { flag: 'a' });
      } catch {
        // As full as it gets.
      }
    };
    fill(ballast, 1 << 20);
    fill(crumbs, 512);
    // What a sale rewrites in place still finds room; a page more does not.
    const again = setInterval(() => fill(crumbs, 512), 200);
    const calm = async () => {
      clearInterval(again);
      rmSync(ballast);
      rmSync(crumbs, { force: true });
      await sleep(0);
    };
    return Promise.resolve({ calm });
  },
};

export const windsOf = (disk: string | undefined): readonly Wind[] => [
  floodOfSignIns,
  slowConnections,
  emptiedPool,
  pausedDatabase,
  restartedDatabase,
  ...(disk ? [fullDisk] : []),
];
