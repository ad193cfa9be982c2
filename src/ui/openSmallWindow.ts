/** The address of the small window, and how large it is. */
export const SMALL_PATH = '/small';
const WIDTH = 320;
const HEIGHT = 480;

/** The window of a page that stands over others (Document Picture-in-Picture), where the browser has it. */
interface PictureInPicture {
  requestWindow: (options: { width: number; height: number }) => Promise<Window>;
}

/**
 * Opens the small window: over all other windows where the browser can, else in a window of its own.
 * @returns whether a window opened
 */
export async function openSmallWindow(page: Window & typeof globalThis): Promise<boolean> {
  const { documentPictureInPicture } = page as unknown as { documentPictureInPicture?: PictureInPicture };
  const address = new URL(SMALL_PATH, page.location.origin);
  // A demo whose clock is set keeps it.
  const now = new URLSearchParams(page.location.search).get('now');
  if (now) address.searchParams.set('now', now);
  if (documentPictureInPicture) {
    try {
      const over = await documentPictureInPicture.requestWindow({ width: WIDTH, height: HEIGHT });
      const frame = over.document.createElement('iframe');
      frame.src = address.href;
      frame.title = page.document.title;
      frame.style.cssText = 'position:fixed;inset:0;width:100%;height:100%;border:0';
      over.document.body.style.margin = '0';
      over.document.body.append(frame);
      return true;
    } catch {
      // Refused where it may not stand over others: a window of its own is next best.
    }
  }
  return page.open(address.href, 'orderly-week-small', `popup,width=${WIDTH},height=${HEIGHT}`) !== null;
}
