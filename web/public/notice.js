// Part of the service worker: a tap on a notice leads back to the page that it came from.
self.addEventListener('notificationclick', (event) => {
  event.notification.close();
  const page = event.notification.data || '/';
  event.waitUntil(
    self.clients.matchAll({ type: 'window', includeUncontrolled: true }).then((open) => {
      const there = open.find((one) => one.url === page) || open[0];
      return there ? there.focus() : self.clients.openWindow(page);
    }),
  );
});
