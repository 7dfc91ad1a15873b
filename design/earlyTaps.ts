/** How long a tap is worth doing late, milliseconds: whoever waited longer has gone on. */
export const lateMs = 5_000;

/** What answers to a tap by script alone. Links go by themselves, and what is written stays written. */
const tapped =
  'button, label, input[type=checkbox], input[type=radio], [role=button], [role=tab], [role=switch]';

/**
 * Keeps the taps that come between a page's first picture and its script, and does them once the
 * script is there: on a tablet that is a second, and a tap that does nothing is made twice. It stands
 * in the page itself, before anything that could be tapped, and in the oldest words a browser knows.
 *
 * `window.levitarAwake()` says that the script is there; a part of the page may still be on its way
 * then, and a tap on it is kept until it is. An element is known to answer by what React writes on it.
 */
export const earlyTapsScript = `(function () {
  var kept = [], isAwake = false, isTold = false;
  function answers(element) {
    return Object.keys(element).some(function (key) { return key.indexOf('__reactProps') === 0; });
  }
  function keep(element) {
    var isKnown = kept.some(function (one) { return one.element === element; });
    if (!isKnown) kept.push({ element: element, at: Date.now() });
  }
  function doThem() {
    kept.slice().forEach(function (one) {
      var isGone = !one.element.isConnected || Date.now() - one.at > ${lateMs};
      var isReady = !isGone && answers(one.element);
      if (isGone || isReady) kept.splice(kept.indexOf(one), 1);
      if (isReady) one.element.click();
    });
    if (kept.length > 0) setTimeout(doThem, 20);
  }
  document.addEventListener('click', function (event) {
    if (!event.target.closest || event.target.closest('a[href]')) return;
    var element = event.target.closest(${JSON.stringify(tapped)});
    if (!element) return;
    if (element.control && element.control.type !== 'checkbox' && element.control.type !== 'radio') return;
    if (!isAwake) {
      event.preventDefault();
      event.stopPropagation();
      keep(element);
    } else if (isTold && !answers(element)) {
      // React may wake this part for the tap; where it cannot yet, the tap is lost to it.
      setTimeout(function () { if (!answers(element)) { keep(element); doThem(); } }, 0);
    }
  }, true);
  window.levitarAwake = function () {
    isAwake = true;
    isTold = answers(document.body);
    doThem();
  };
})();`;
