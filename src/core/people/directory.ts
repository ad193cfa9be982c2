/** Where the directory that ships with the server is asked, and for whose busy times. */
export const DIRECTORY = '/api/directory';
export const DIRECTORY_BUSY = `${DIRECTORY}/busy/`;

/** So many days of busy times are asked for at most. */
export const LONGEST_BUSY_DAYS = 120;

/** Whether busy times are asked for at an address: only the server's own is. */
export const isAskable = (address: string | undefined): address is string =>
  address !== undefined &&
  address.startsWith(DIRECTORY_BUSY) &&
  /^[a-z0-9-]+$/.test(address.slice(DIRECTORY_BUSY.length));
