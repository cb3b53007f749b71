import { expose } from 'comlink';
import { WorkerLife, startWorker } from './running';

interface Job {
  add(one: number, other: number): number;
  hang(): Promise<number>;
  fails(): number;
}

/** A worker as the browser makes them, with its job on the other end of a channel. */
class FakeWorker {
  static made: FakeWorker[] = [];
  onerror: ((event: { message: string }) => void) | null = null;
  onmessageerror: (() => void) | null = null;
  ended = false;
  asked = 0;
  private readonly channel = new MessageChannel();
  readonly postMessage = (...given: Parameters<MessagePort['postMessage']>) => this.channel.port1.postMessage(...given);
  readonly addEventListener = this.channel.port1.addEventListener.bind(this.channel.port1);
  readonly removeEventListener = this.channel.port1.removeEventListener.bind(this.channel.port1);

  constructor() {
    FakeWorker.made.push(this);
    const job: Job = {
      add: (one, other) => {
        this.asked++;
        return one + other;
      },
      hang: () => new Promise(() => undefined),
      fails: () => {
        throw new Error('cannot');
      },
    };
    expose(job, this.channel.port2);
    this.channel.port1.start();
  }
  terminate() {
    this.ended = true;
    this.channel.port1.close();
  }
  die(message: string) {
    this.onerror?.({ message });
  }
}
const create = () => new FakeWorker() as unknown as Worker;
const failed = (reason: string) => ({ reason });
type Answer = number | { reason: string };
const life = (options?: ConstructorParameters<typeof WorkerLife>[1]) => new WorkerLife<Job>(create, options);
const add = (of: WorkerLife<Job>, one: number, other: number) => of.ask<Answer>((job) => job.add(one, other), failed);
const hang = (of: WorkerLife<Job>) => of.ask<Answer>((job) => job.hang(), failed);

beforeEach(() => {
  FakeWorker.made = [];
});
afterEach(() => FakeWorker.made.forEach((worker) => !worker.ended && worker.terminate()));

describe('one worker’s life', () => {
  it('begins with its first order, or warmed before, and serves all that follow', async () => {
    const one = life();
    expect([FakeWorker.made.length, one.isAlive]).toEqual([0, false]);
    one.warm();
    expect([FakeWorker.made.length, one.isAlive]).toEqual([1, true]);
    expect(await Promise.all([add(one, 1, 2).done, add(one, 3, 4).done])).toEqual([3, 7]);
    expect(FakeWorker.made).toHaveLength(1);
  });

  it('what the job throws fails that order alone', async () => {
    const one = life();
    expect(await one.ask<Answer>((job) => job.fails(), failed).done).toEqual({ reason: 'cannot' });
    expect(await add(one, 1, 1).done).toBe(2);
    expect(FakeWorker.made).toHaveLength(1);
  });

  it('one that dies fails what it had under way, and is replaced with the next order', async () => {
    const one = life();
    const under = [hang(one), hang(one)];
    FakeWorker.made[0].die('out of memory');
    expect(await Promise.all(under.map(({ done }) => done))).toEqual([
      { reason: 'out of memory' },
      { reason: 'out of memory' },
    ]);
    expect([FakeWorker.made[0].ended, one.isAlive]).toEqual([true, false]);
    expect(await add(one, 2, 2).done).toBe(4);
    expect(FakeWorker.made).toHaveLength(2);
    // A late cry of the first one does nothing to the second.
    FakeWorker.made[0].die('again');
    expect([FakeWorker.made[1].ended, one.isAlive]).toEqual([false, true]);
  });

  it('one that can’t be started fails its order, and is tried again', async () => {
    let tries = 0;
    const one = new WorkerLife<Job>(() => {
      tries++;
      if (tries === 1) throw new Error('refused');
      return create();
    });
    expect(await add(one, 1, 1).done).toEqual({ reason: 'refused' });
    expect(await add(one, 1, 1).done).toBe(2);
  });

  it('one that hangs is ended when its time is up', async () => {
    const one = life({ limitMs: 30 });
    expect(await hang(one).done).toEqual({ reason: expect.stringContaining('too long') as string });
    expect([FakeWorker.made[0].ended, one.isAlive]).toEqual([true, false]);
    expect(await add(one, 1, 1).done).toBe(2);
    await new Promise((resolve) => setTimeout(resolve, 60));
    expect(FakeWorker.made[1].ended).toBe(false);
  });

  it('cancelling ends the worker and settles with nothing; once answered it ends nothing', async () => {
    const one = life();
    const under = hang(one);
    under.cancel();
    expect(await under.done).toBeNull();
    expect(FakeWorker.made[0].ended).toBe(true);
    const answered = add(one, 1, 1);
    expect(await answered.done).toBe(2);
    answered.cancel();
    expect(FakeWorker.made[1].ended).toBe(false);
    one.end();
    expect(FakeWorker.made[1].ended).toBe(true);
    expect(() => one.end()).not.toThrow();
  });

  it('in turn: an order is given when the one before it is answered, failed or cancelled', async () => {
    const one = life({ inTurn: true, limitMs: 5000 });
    const first = hang(one);
    const second = add(one, 1, 1);
    const third = add(one, 2, 2);
    await new Promise((resolve) => setTimeout(resolve, 20));
    expect(FakeWorker.made[0].asked).toBe(0);
    second.cancel();
    // One that waits is given up without ending what is under way.
    expect(FakeWorker.made[0].ended).toBe(false);
    first.cancel();
    expect(await Promise.all([first.done, second.done, third.done])).toEqual([null, null, 4]);
    expect(FakeWorker.made).toHaveLength(2);
  });

  it('for one order: ended when that is answered, fails or is cancelled', async () => {
    const done = startWorker<Job, Answer>(create, (job) => job.add(5, 5), failed);
    expect(await done.done).toBe(10);
    const broken = startWorker<Job, Answer>(create, (job) => job.fails(), failed);
    expect(await broken.done).toEqual({ reason: 'cannot' });
    const given = startWorker<Job, Answer>(create, (job) => job.hang(), failed);
    given.cancel();
    expect(await given.done).toBeNull();
    const told: boolean[] = [];
    const slow = startWorker<Job, Answer>(
      create,
      (job) => job.hang(),
      (reason, isSlow) => {
        told.push(isSlow);
        return failed(reason);
      },
      20,
    );
    expect(await slow.done).toEqual({ reason: expect.stringContaining('too long') as string });
    expect(told).toEqual([true]);
    expect(FakeWorker.made.map(({ ended }) => ended)).toEqual([true, true, true, true]);
  });
});
