/** Whether the person asked the browser to save data: then nothing is fetched before it is needed. */
export const savesData = (): boolean =>
  (navigator as Navigator & { connection?: { saveData?: boolean } }).connection?.saveData === true;
