/**
 * Requests a second for a hashed file, over twenty connections that ask again as soon as they are answered: of the built server, and in
 * the same run of a bare one that sends the same bytes. Each serves on one core; whoever asks has the other.
 */
import { fork } from 'node:child_process';
import { readdirSync, readFileSync } from 'node:fs';
import { createServer } from 'node:http';
import { connect } from 'node:net';
import { serve } from '../harness/browser';

const FOLDER = '_expo/static/js/web';
const SECONDS = 4;
const CONNECTIONS = 20;
/** So many are on their way on each connection. */
const AHEAD = 4;
const MUST = 2000;

/** A small script as it goes over the wire, and its address. */
const asked = () => {
  const name = readdirSync(`dist/${FOLDER}`).find((file) => /^RackPlace-.*\.js$/.test(file)) ?? '';
  return { place: `/${FOLDER}/${name}`, body: readFileSync(`dist/${FOLDER}/${name}.br`) };
};

const perSecond = async (port: number): Promise<number> => {
  const { place, body } = asked();
  const request = `GET ${place} HTTP/1.1\r\nHost: x\r\nAccept-Encoding: br\r\n\r\n`;
  // The end of a body tells that it is whole.
  const mark = body.subarray(-24).toString('latin1');
  let answered = 0;
  const sockets = Array.from({ length: CONNECTIONS }, () => {
    const socket = connect(port, '127.0.0.1').setEncoding('latin1');
    let rest = '';
    socket.on('connect', () => socket.write(request.repeat(AHEAD)));
    socket.on('data', (chunk: string) => {
      rest += chunk;
      for (let at = rest.indexOf(mark); at >= 0; at = rest.indexOf(mark)) {
        answered++;
        rest = rest.slice(at + mark.length);
        socket.write(request);
      }
    });
    return socket;
  });
  await new Promise((resolve) => setTimeout(resolve, 1000));
  const before = answered;
  await new Promise((resolve) => setTimeout(resolve, SECONDS * 1000));
  const rate = (answered - before) / SECONDS;
  sockets.forEach((socket) => socket.destroy());
  return rate;
};

const bare = () => {
  const { body } = asked();
  const server = createServer((_request, response) => {
    response.writeHead(200, { 'Content-Length': String(body.length), 'Content-Encoding': 'br' });
    response.end(body);
  }).listen(0, '127.0.0.1', () => process.send?.(server.address()));
};

const main = async () => {
  const site = await serve();
  const own = await perSecond(site.port);
  await site.stop();
  const child = fork(__filename, ['bare']);
  const { port } = await new Promise<{ port: number }>((resolve) =>
    child.once('message', resolve as () => void),
  );
  const plain = await perSecond(port);
  child.kill();
  console.log(
    `requests a second ${Math.round(own)} (must ${MUST}), of a bare server ${Math.round(plain)}: ${(own / plain).toFixed(2)}`,
  );
  if (own < MUST) process.exit(1);
};

if (process.argv[2] === 'bare') bare();
else void main();
