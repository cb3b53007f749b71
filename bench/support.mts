/** Median time of a job run `times` times after one run to warm up, ms. */
export async function medianMs(times: number, job: () => Promise<unknown>): Promise<number> {
  await job();
  const taken: number[] = [];
  for (let i = 0; i < times; i++) {
    const from = performance.now();
    await job();
    taken.push(performance.now() - from);
  }
  return taken.sort((a, b) => a - b)[Math.floor(times / 2)];
}
