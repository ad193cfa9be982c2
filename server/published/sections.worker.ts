import 'temporal-polyfill/global';
import { parentPort, workerData } from 'node:worker_threads';
import { pageSections } from './pageSections';
import type { SectionsJob } from './sectionsInWorker';

const { copy, now } = workerData as SectionsJob;
void pageSections(copy, now).then((sections) => parentPort!.postMessage(sections));
