// Runs before anything is drawn, so that a dark room stays dark while the page loads.
(function () {
  var kept = null;
  try {
    kept = localStorage.getItem('nimble-eyelet:theme');
  } catch {
    // A browser that keeps nothing follows the system.
  }
  var dark = kept ? kept === '"lamplight"' : matchMedia('(prefers-color-scheme: dark)').matches;
  document.documentElement.dataset.theme = dark ? 'lamplight' : 'daylight';
})();
