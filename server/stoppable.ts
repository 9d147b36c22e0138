import type { Server, ServerResponse } from 'node:http';
import { Server as NetServer, type Socket } from 'node:net';

/**
 * Has a server stop in its own time: what it returns, called with a grace in ms, takes no more connections, sends what is being
 * answered to the last byte, for no longer than the grace, and resolves when all is done. A server's own `close` would
 * let go of connections whose answer is written but not sent yet.
 */
export const stoppable = (server: Server): ((grace: number) => Promise<void>) => {
  /** Answers that are not sent yet, by connection. */
  const open = new Map<Socket, number>();
  let isStopping = false;
  const letGo = (socket: Socket) => {
    if (isStopping && !open.get(socket)) socket.end();
  };
  const count = (socket: Socket, by: number) => {
    const held = open.get(socket);
    if (held !== undefined) open.set(socket, held + by);
  };
  server.on('connection', (socket: Socket) => {
    open.set(socket, 0);
    socket.on('close', () => open.delete(socket));
  });
  server.on('request', ({ socket }: { socket: Socket }, response: ServerResponse) => {
    count(socket, 1);
    response.once('close', () => {
      count(socket, -1);
      letGo(socket);
    });
  });
  return (grace) =>
    new Promise((done) => {
      isStopping = true;
      const late = setTimeout(() => server.closeAllConnections(), grace);
      NetServer.prototype.close.call(server, () => {
        clearTimeout(late);
        done();
      });
      for (const socket of open.keys()) letGo(socket);
    });
};
