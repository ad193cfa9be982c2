/** The words of the application as it is kept in the browser: they come with the parts that need them. */
export const offlineWords = {
  newVersion: 'A new version is here.',
  take: 'Take it',
  later: 'Later',
  kept: 'This browser keeps the application: it opens and works without the network.',
  notKept: 'The application is not kept in this browser yet; it needs the server to open.',
  install: 'Install the application',
} as const;
