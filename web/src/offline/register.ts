/** Where browsers allow it (localhost or HTTPS), the application opens without its server from the second visit on. */
export function openWithoutServer() {
  if (import.meta.env.PROD && 'serviceWorker' in navigator)
    navigator.serviceWorker.register('/sw.js').catch(() => undefined);
}
