import { connect, createServer, type Server, type Socket } from 'node:net';

/** A proxy before several servers: each connection goes to the next that takes it. */
export function roundRobin(ports: () => readonly number[]): Promise<{ port: number; server: Server }> {
  let turn = 0;
  const server = createServer((from) => {
    from.on('error', () => from.destroy());
    const tryNext = (left: number): void => {
      if (left === 0) {
        from.destroy();
        return;
      }
      const all = ports();
      const to: Socket = connect(all[(turn += 1) % all.length]!, '127.0.0.1');
      to.once('connect', () => {
        from.pipe(to).pipe(from);
        to.on('close', () => from.destroy());
        from.on('close', () => to.destroy());
      });
      let isOpen = false;
      to.once('connect', () => (isOpen = true));
      to.on('error', () => {
        to.destroy();
        if (isOpen) from.destroy();
        else tryNext(left - 1);
      });
    };
    tryNext(ports().length);
  });
  return new Promise((resolve) => {
    server.listen(0, '127.0.0.1', () => {
      const at = server.address();
      resolve({ port: typeof at === 'object' && at ? at.port : 0, server });
    });
  });
}
