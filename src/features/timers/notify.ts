export type NotifyState = NotificationPermission | 'none';

export const canNotify = (): NotifyState => (typeof Notification === 'undefined' ? 'none' : Notification.permission);

/** Asks the person, through the browser; what was decided before stays. */
export async function askToNotify(): Promise<NotifyState> {
  if (canNotify() !== 'default') return canNotify();
  try {
    return await Notification.requestPermission();
  } catch {
    return canNotify();
  }
}

const ASKED_KEY = 'fobbet.asked-to-notify';
/** Asks with the first timer that is started in this browser, and not again. */
export function askOnce(): void {
  if (canNotify() !== 'default' || localStorage.getItem(ASKED_KEY) !== null) return;
  localStorage.setItem(ASKED_KEY, 'yes');
  void askToNotify();
}

const BUZZ_MS = [300, 120, 300, 120, 600];

/**
 * Shows a notification where the person allows it: through the service worker, which phones ask for, else by the page.
 *
 * @param tag the same thing told again takes the place of what was told
 * @param path where pressing it leads
 */
export async function notify(text: string, { tag, path }: { tag: string; path: string }): Promise<void> {
  if (canNotify() !== 'granted') return;
  // What phones do, and the types of a page's own notification don't know.
  const options = { body: text, tag, renotify: true, vibrate: BUZZ_MS, icon: '/icons/icon-192.png', data: { path } };
  try {
    const registration = await navigator.serviceWorker?.getRegistration();
    if (registration?.active) await registration.showNotification('Fobbet', options);
    else new Notification('Fobbet', options);
  } catch {
    // The page says it in words.
  }
}
