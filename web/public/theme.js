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
  // Languages by name: asking the browser to write a number takes longer than everything else here.
  var commas =
    /^(bg|ca|cs|da|de|el|es|et|eu|fi|fr|gl|hr|hu|id|is|it|lt|lv|nb|nl|nn|no|pl|pt|ro|ru|sk|sl|sr|sv|tr|uk|vi)\b/.test(
      navigator.language,
    ) && !/^(de-(CH|LI)|es-(MX|US|PR|GT|HN|NI|PA|PE|SV|DO))$/.test(navigator.language);
  shown.words = kept('words') || 'british';
  shown.numbers = kept('numbers') || (commas ? 'comma' : 'point');
  document.cookie =
    'dialect=' + shown.words + '.' + shown.numbers + '; path=/; max-age=31536000; samesite=strict';
})();
