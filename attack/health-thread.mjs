// Asks for health again and again, from a thread that has nothing else to do, and notes the slowest answer.
import { parentPort, workerData } from 'node:worker_threads';

const every = 100;
let [slowest, asked, failed] = [0, 0, 0];

const ask = async () => {
  const began = performance.now();
  const isWell = await fetch(`${workerData}/api/health`)
    .then((answer) => answer.ok)
    .catch(() => false);
  asked += 1;
  if (!isWell) failed += 1;
  slowest = Math.max(slowest, performance.now() - began);
  setTimeout(() => void ask(), every);
};
void ask();
parentPort?.on('message', () => parentPort?.postMessage({ slowest, asked, failed }));
