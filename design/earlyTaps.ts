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
 * `window.levitarAwake()` says that the script is there. A part of the page may still be on its way
 * then: React takes no tap on such a part and stops it at the document, where whoever listens after
 * React sees that; it is kept like the others. An element is known to be drawn by what React writes on
 * it, which it does a little before it answers: what is done too early is stopped and kept once more.
 */
export const earlyTapsScript = `(function () {
  var kept = [], isAwake = false, isTold = false, since = 0, timer = 0;
  function answers(element) {
    return Object.keys(element).some(function (key) { return key.indexOf('__reactProps') === 0; });
  }
  function keep(event, element) {
    event.preventDefault();
    var isKnown = kept.some(function (one) { return one.element === element; });
    if (!isKnown) kept.push({ element: element, at: since || Date.now() });
  }
  function doThem() {
    timer = 0;
    kept.slice().forEach(function (one) {
      var isGone = !one.element.isConnected || Date.now() - one.at > ${lateMs};
      var isReady = !isGone && answers(one.element);
      if (isGone || isReady) kept.splice(kept.indexOf(one), 1);
      since = one.at;
      if (isReady) one.element.click();
      since = 0;
    });
    if (kept.length > 0) doSoon();
  }
  function doSoon() {
    if (!timer) timer = setTimeout(doThem, 20);
  }
  function find(event) {
    if (!event.target.closest || event.target.closest('a[href]')) return null;
    var element = event.target.closest(${JSON.stringify(tapped)});
    var control = element && element.control;
    return control && control.type !== 'checkbox' && control.type !== 'radio' ? null : element;
  }
  document.addEventListener('click', function (event) {
    var element = isAwake ? null : find(event);
    if (!element) return;
    event.stopPropagation();
    keep(event, element);
  }, true);
  window.levitarAwake = function () {
    if (isAwake) return;
    isAwake = true;
    isTold = answers(document.body);
    // After React's own, which was there before it drew anything.
    document.addEventListener('click', function (event) {
      var element = isTold && event.cancelBubble ? find(event) : null;
      if (!element) return;
      keep(event, element);
      doSoon();
    }, true);
    doThem();
  };
})();`;
