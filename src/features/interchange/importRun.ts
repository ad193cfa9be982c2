import { endFiles } from '@/store';
import { type ImportStep, setStep, useImportStep } from './importStep';

/** The latest reading, and those that have not ended. */
let latest = 0;
const running = new Set<number>();

/** Whether a reading goes on: it was not cancelled, and no other took its place. */
const isWanted = (run: number) => (): boolean =>
  latest === run && useImportStep.getState().step.kind === 'reading';

/** How long one may go on that is wanted no more, and how often one looks, in milliseconds. */
const STOPS_WITHIN = 2_000;
const LOOK = 20;

/** Waits until what is wanted no more has stopped, as it does between entries; what does not is ended. */
export async function stopRunning(): Promise<void> {
  const unwanted = [...running];
  const goesOn = () => unwanted.some((run) => running.has(run));
  for (let waited = 0; goesOn() && waited < STOPS_WITHIN; waited += LOOK)
    await new Promise((resolve) => setTimeout(resolve, LOOK));
  if (goesOn()) endFiles();
}

/**
 * One reading of files, until another takes its place: nothing is shown of one that was cancelled.
 * @param name what is said to be read at first
 * @param read reads, asking now and then whether it goes on, and answers what comes next
 */
export async function runImport(
  name: string,
  read: (goesOn: () => boolean) => Promise<ImportStep | undefined>,
): Promise<void> {
  const run = ++latest;
  const goesOn = isWanted(run);
  setStep({ kind: 'reading', name, done: 0, total: 0 });
  await stopRunning();
  if (!goesOn()) return;
  running.add(run);
  try {
    const step = await read(goesOn);
    if (step && goesOn()) setStep(step);
  } catch {
    if (goesOn()) setStep({ kind: 'refused', name, reason: 'failed' });
  } finally {
    running.delete(run);
  }
}
