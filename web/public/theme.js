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
  // Words and numbers; prints are told by a cookie. Numbers follow the browser's own language until somebody chooses.
  var commas = new Intl.NumberFormat(navigator.language).format(1.5).indexOf(',') > 0;
  shown.words = kept('words') || 'british';
  shown.numbers = kept('numbers') || (commas ? 'comma' : 'point');
  document.cookie =
    'dialect=' + shown.words + '.' + shown.numbers + '; path=/; max-age=31536000; samesite=strict';
})();
