import type { AddressInfo } from 'node:net';
import { simulatedBalance } from './feed/simulatedBalance';

/** Runs the simulated balance by itself, on the loopback address. Told the port by PORT; 0 or nothing takes a free one. */
const server = simulatedBalance(Number(process.env['SEED'] ?? 1));
server.listen(Number(process.env['PORT'] ?? 0), '127.0.0.1', () => {
  const { port } = server.address() as AddressInfo;
  console.log(`The simulated balance speaks at 127.0.0.1:${port}.`);
  process.send?.({ port });
});
server.on('error', (error) => {
  console.error(error.message);
  process.exit(1);
});
process.once('disconnect', () => process.exit(0));
