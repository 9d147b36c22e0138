import { WorkerFailed, WorkerPool, type PooledWorker } from './workerPool';

/** Workers that answer when told to. */
const fakes = () => {
  const spawned: { crash: (error: Error) => void; isEnded: boolean }[] = [];
  const spawn = (): PooledWorker<number> => {
    const worker = { crash: (_: Error): void => undefined, isEnded: false };
    spawned.push(worker);
    return {
      api: spawned.length,
      terminate: () => (worker.isEnded = true),
      onCrash: (listener) => (worker.crash = listener),
    };
  };
  return { spawned, spawn };
};
const never = new AbortController().signal;
const turn = async () => {
  for (let n = 0; n < 10; n++) await Promise.resolve();
};
/** A promise with its ends outside. */
const open = <T>() => {
  let resolve: (value: T) => void = () => undefined;
  const promise = new Promise<T>((done) => (resolve = done));
  return { promise, resolve };
};

test('work of lower rank comes first, in each lane for itself; a long search never holds up quick work', async () => {
  const { spawn } = fakes();
  const pool = new WorkerPool<number>({ spawn, size: { quick: 1, long: 1 } });
  const order: string[] = [];
  const first = open<void>();
  const job = (name: string) => async () => void order.push(name);
  void pool.run('long', 1, never, async () => {
    order.push('first');
    await first.promise;
  });
  const ways = pool.run('long', 3, never, job('ways'));
  const plan = pool.run('long', 1, never, job('plan'));
  await pool.run('quick', 0, never, job('quick'));
  expect(order).toEqual(['first', 'quick']);
  first.resolve();
  await Promise.all([ways, plan]);
  expect(order).toEqual(['first', 'quick', 'plan', 'ways']);
});

test('work that is called off ends its worker where it runs, and leaves the queue where it waits', async () => {
  const { spawn, spawned } = fakes();
  const pool = new WorkerPool<number>({ spawn, size: { quick: 1, long: 1 } });
  const [one, two] = [new AbortController(), new AbortController()];
  const running = pool.run('long', 0, one.signal, () => new Promise<void>(() => undefined));
  const waiting = pool.run('long', 0, two.signal, async () => undefined);
  two.abort();
  await expect(waiting).rejects.toThrow();
  expect(spawned[0]?.isEnded).toBe(false);
  one.abort();
  await expect(running).rejects.toThrow();
  await turn();
  expect(spawned[0]?.isEnded).toBe(true);
  expect(await pool.run('long', 0, never, async (api) => api)).toBe(2);
});

test('a worker that breaks down is replaced and its work done again, once; then it is told', async () => {
  const { spawn, spawned } = fakes();
  const restarts: string[] = [];
  const pool = new WorkerPool<number>({
    spawn,
    size: { quick: 1, long: 1 },
    onRestart: ({ message }) => void restarts.push(message),
  });
  const first = pool.run('long', 0, never, (api) =>
    api === 1 ? new Promise<number>(() => undefined) : Promise.resolve(api),
  );
  spawned[0]?.crash(new Error('out of memory'));
  expect(await first).toBe(2);
  expect(restarts).toEqual(['out of memory']);
  const second = pool.run('long', 0, never, () => new Promise<number>(() => undefined));
  await turn();
  spawned[1]?.crash(new Error('again'));
  await turn();
  spawned[2]?.crash(new Error('and again'));
  await expect(second).rejects.toThrow(WorkerFailed);
});

test('a question that fails is no breakdown: the worker stays', async () => {
  const { spawn, spawned } = fakes();
  const pool = new WorkerPool<number>({ spawn, size: { quick: 1, long: 1 } });
  await expect(pool.run('quick', 0, never, () => Promise.reject(new Error('no')))).rejects.toThrow('no');
  expect(await pool.run('quick', 0, never, async (api) => api)).toBe(1);
  expect(spawned).toHaveLength(1);
});
