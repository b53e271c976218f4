import { createServer } from 'node:http';
import { join } from 'node:path';
import { makeServer } from './server.ts';

const USUAL_PORT = 4180;
const asked = process.env.PORT;
/** Open to this machine alone unless told: HOST=0.0.0.0 opens it to others, by the names given in JUNE_TIDE_NAMES. */
const host = process.env.HOST ?? '127.0.0.1';
const names = (process.env.JUNE_TIDE_NAMES ?? '').split(',').filter((name) => name !== '');
const dist = process.env.JUNE_TIDE_DIST ?? join(import.meta.dirname, '..', '..', 'app', 'dist');

if (asked !== undefined && !(/^\d+$/.test(asked) && Number(asked) < 65536)) {
  console.error(`PORT is “${asked}”; it must be a number from 0 to 65535.`);
  process.exit(1);
}

/** Listens on the first free port from `port` on; a port that was asked for by name is not exchanged for another. */
function listen(port: number, left: number): void {
  const server = createServer(makeServer(dist, names));
  server.once('error', (error: NodeJS.ErrnoException) => {
    if (error.code !== 'EADDRINUSE') throw error;
    if (asked !== undefined) {
      console.error(`Port ${port} is taken by another program. Stop it, or choose another: PORT=4200 npm start`);
      process.exit(1);
    }
    if (left === 0) {
      console.error(`No free port from ${USUAL_PORT} to ${port}. Choose one: PORT=8080 npm start`);
      process.exit(1);
    }
    console.log(`Port ${port} is taken, trying ${port + 1}.`);
    listen(port + 1, left - 1);
  });
  server.listen(port, host, () => {
    const address = server.address();
    const at = typeof address === 'object' && address ? address.port : port;
    console.log(`June Tide is open at http://localhost:${at}`);
  });
}

listen(asked === undefined ? USUAL_PORT : Number(asked), 20);
