// Runs before anything is drawn, so that a dark room stays dark, and large text large, while the page loads.
(function () {
  function kept(name) {
    try {
      return JSON.parse(localStorage.getItem('nimble-eyelet:' + name));
    } catch {
      // A browser that keeps nothing follows the system.
      return null;
    }
  }
  var shown = document.documentElement.dataset;
  var dark = matchMedia('(prefers-color-scheme: dark)').matches;
  shown.theme = kept('theme') || (dark ? 'lamplight' : 'daylight');
  shown.text = kept('text') || 'usual';
  shown.hand = kept('hand') || 'right';
})();
