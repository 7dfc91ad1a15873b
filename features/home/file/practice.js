/* The page that a student keeps: plain script, no request, nothing but what is in the file. */
(() => {
  'use strict';
  const data = JSON.parse(document.getElementById('sheet').textContent);
  const T = data.words;
  const key = `levitar-diary-${data.sheet}`;
  const root = document.getElementById('root');
  const isStill = matchMedia('(prefers-reduced-motion: reduce)').matches;
  const day = (date = new Date()) =>
    `${date.getFullYear()}-${String(date.getMonth() + 1).padStart(2, '0')}-${String(date.getDate()).padStart(2, '0')}`;
  const isOver = day() > data.ends;

  let entries = [];
  let canKeep = true;
  try {
    entries = JSON.parse(localStorage.getItem(key) ?? '[]');
  } catch {
    canKeep = false;
  }
  const keep = () => {
    try {
      localStorage.setItem(key, JSON.stringify(entries));
      canKeep = true;
    } catch {
      canKeep = false;
    }
  };

  /** @param {Record<string, unknown>} [props] */
  const make = (tag, props = {}, ...children) => {
    const element = document.createElement(tag);
    for (const [name, value] of Object.entries(props)) {
      if (name.startsWith('on')) element.addEventListener(name.slice(2), value);
      else if (name === 'class') element.className = value;
      else if (value === true) element.setAttribute(name, '');
      else if (value !== false && value !== null && value !== undefined)
        element.setAttribute(name, String(value));
    }
    element.append(...children.filter((child) => child !== null && child !== undefined));
    return element;
  };
  const button = (label, onclick, more = {}) =>
    make('button', { type: 'button', onclick, ...more }, label);

  // Drawings.
  const timers = new Set();
  const svgOf = (move, picture, label) => {
    const svg = document.createElementNS('http://www.w3.org/2000/svg', 'svg');
    svg.setAttribute('viewBox', `0 0 ${move.width} ${move.height}`);
    svg.setAttribute('role', 'img');
    svg.setAttribute('aria-label', `${label}. ${move.words.join('. ')}.`);
    svg.innerHTML = move.pictures[picture];
    return svg;
  };
  const drawing = (item) => {
    const move = data.moves[item.move];
    if (!move) return null;
    if (isStill) {
      return make(
        'div',
        { class: 'poses' },
        ...move.poses.map((at) => svgOf(move, at, item.label)),
      );
    }
    const svg = svgOf(move, move.poses[0], item.label);
    const box = make('div', { class: 'drawing' }, svg);
    const whole = move.round[move.round.length - 1][1];
    const from = performance.now();
    let shown = -1;
    const tick = () => {
      if (!svg.isConnected) {
        timers.delete(tick);
        return;
      }
      const at = ((performance.now() - from) / 1000) % whole;
      const now = move.round.find(([, until]) => at < until) ?? move.round[0];
      if (now[0] !== shown) {
        shown = now[0];
        svg.innerHTML = move.pictures[shown];
      }
    };
    timers.add(tick);
    return box;
  };
  setInterval(() => timers.forEach((tick) => tick()), 60);

  // Sound: a soft tone that rises with the breath in and falls with the breath out, a bell at a change.
  let sound = null;
  const wakeSound = () => {
    try {
      sound ??= new AudioContext();
      void sound.resume();
    } catch {
      sound = null;
    }
  };
  let isHeard = true;
  const tone = (from, to, seconds, loud) => {
    if (!isHeard || sound === null) return;
    const at = sound.currentTime;
    const [voice, gain] = [sound.createOscillator(), sound.createGain()];
    voice.frequency.setValueAtTime(from, at);
    voice.frequency.linearRampToValueAtTime(to, at + seconds);
    gain.gain.setValueAtTime(0.0001, at);
    gain.gain.linearRampToValueAtTime(loud, at + seconds * 0.3);
    gain.gain.linearRampToValueAtTime(0.0001, at + seconds);
    voice.connect(gain).connect(sound.destination);
    voice.start(at);
    voice.stop(at + seconds);
  };

  // Screens.
  const show = (...children) => {
    root.replaceChildren(...children.filter((child) => child !== null));
    scrollTo(0, 0);
    root.querySelector('h1, h2')?.focus();
  };
  const heading = (level, words) => make(level, { tabindex: -1 }, words);
  const line = (words) => make('p', {}, words);

  function home() {
    const items = data.items.map((item) => {
      const done = entries.filter((one) => one.item === item.id).length;
      return make(
        'li',
        {},
        drawing(item),
        make('h2', {}, item.label),
        make('p', { class: 'dose' }, `${item.dose} · ${T.days.replace('#', item.days)}`),
        line(item.how),
        item.side ? line(T.side.replace('#', item.side)) : null,
        ...item.more.map(line),
        done > 0 ? make('p', { class: 'quiet' }, T.doneTimes.replace('#', done)) : null,
        button(T.begin, () => run(item), {
          class: 'main',
          disabled: isOver,
          'aria-label': `${T.begin}: ${item.label}`,
        }),
      );
    });
    show(
      heading('h1', T.title.replace('#', data.name)),
      isOver
        ? make('p', { class: 'over', role: 'status' }, T.over.replace('#', data.endsWords))
        : make('p', { class: 'quiet' }, T.until.replace('#', data.endsWords)),
      data.instead ? make('p', { class: 'over' }, data.instead) : null,
      make('ol', { class: 'items' }, ...items),
      data.notAlone.length > 0
        ? make(
            'section',
            { class: 'not' },
            make('h2', {}, T.notAlone),
            make(
              'ul',
              {},
              ...data.notAlone.map(({ label, why }) => make('li', {}, `${label}: ${why}`)),
            ),
          )
        : null,
      make(
        'section',
        { class: 'not' },
        make('h2', {}, T.stopTitle),
        line(T.stopHow),
        make('ul', {}, ...data.signs.map(({ label }) => make('li', {}, label))),
      ),
      make('p', { class: 'quiet' }, data.caution),
      button(T.diary.replace('#', entries.length), diary),
    );
  }

  function run(item) {
    wakeSound();
    let lock = null;
    navigator.wakeLock?.request('screen').then(
      (got) => (lock = got),
      () => null,
    );
    const steps = [{ kind: 'reset', label: T.ready, seconds: 5 }, ...item.steps];
    let index = 0;
    let left = steps[0].seconds;
    let last = performance.now();
    let isPaused = false;
    const label = make('p', { class: 'step', role: 'status' });
    const clock = make('p', { class: 'clock' });
    const breath = make('div', { class: 'breath', 'aria-hidden': 'true' }, make('i'));
    const phase = make('p', { class: 'phase' });
    const pause = button(T.pause, () => {
      isPaused = !isPaused;
      pause.textContent = isPaused ? T.goOn : T.pause;
    });
    let said = '';
    const say = () => {
      const step = steps[index];
      if (step === undefined) return;
      clock.textContent = `${Math.floor(Math.ceil(left) / 60)}:${String(Math.ceil(left) % 60).padStart(2, '0')}`;
      // What is counted has its own pace.
      const beat = step.times ? step.seconds / step.times : data.breathS;
      const done = step.seconds - left;
      const into = done % beat;
      const isIn = into < beat / 2;
      const at = Math.min(step.times, Math.floor(done / beat) + 1);
      const named = step.times
        ? `${step.label} ${T.count.replace('##', step.times).replace('#', at)}`
        : step.label;
      if (label.textContent !== named) label.textContent = named;
      const words = step.kind === 'hold' ? (isIn ? T.breatheIn : T.breatheOut) : '';
      if (words !== said && words !== '' && !isPaused) {
        tone(isIn ? 196 : 262, isIn ? 262 : 196, beat / 2, 0.05);
      }
      said = words;
      phase.textContent = words;
      const fullness = isIn ? into / (beat / 2) : 2 - into / (beat / 2);
      breath.firstChild.style.transform = `scale(${step.kind === 'hold' ? 0.4 + 0.6 * fullness : 0.4})`;
    };
    const end = () => {
      clearInterval(timer);
      void lock?.release();
    };
    const next = () => {
      index += 1;
      tone(660, 660, 0.6, 0.15);
      if (index >= steps.length) {
        end();
        ask(item);
        return;
      }
      left = steps[index].seconds;
    };
    const timer = setInterval(() => {
      const now = performance.now();
      if (!isPaused) left -= (now - last) / 1000;
      last = now;
      if (left <= 0) next();
      say();
    }, 100);
    show(
      heading('h1', item.label),
      drawing(item),
      item.steps.length === 0 ? line(item.dose) : null,
      label,
      clock,
      breath,
      phase,
      make(
        'div',
        { class: 'row' },
        pause,
        button(T.skip, next),
        button(isHeard ? T.soundOff : T.soundOn, (event) => {
          isHeard = !isHeard;
          event.currentTarget.textContent = isHeard ? T.soundOff : T.soundOn;
        }),
      ),
      button(
        T.stop,
        () => {
          end();
          ask(item);
        },
        { class: 'stop' },
      ),
    );
    say();
  }

  const options = (list, none) => [
    make('option', { value: '' }, none),
    ...list.map(({ id, label }) => make('option', { value: id }, label)),
  ];

  function ask(item) {
    const pain = make('select', { id: 'pain' }, ...options(data.places, T.nothing));
    const sign = make('select', { id: 'sign' }, ...options(data.signs, T.none));
    const put = (felt) => {
      const entry = { on: day(), item: item.id, felt };
      if (pain.value !== '') entry.pain = pain.value;
      if (sign.value !== '') entry.sign = sign.value;
      entries.push(entry);
      keep();
      if (entry.sign || entry.pain) warn(entry);
      else home();
    };
    show(
      heading('h1', T.how.replace('#', item.label)),
      make('label', { for: 'pain' }, T.hurt),
      pain,
      make('label', { for: 'sign' }, T.signs),
      sign,
      make(
        'div',
        { class: 'row' },
        ...data.felt.map(({ id, label }) => button(label, () => put(id), { class: 'main' })),
      ),
      button(T.notDone, home),
    );
  }

  function warn(entry) {
    show(
      heading('h1', T.stopNow),
      make('p', { class: 'over', role: 'alert' }, entry.sign ? T.signMet : T.painMet),
      line(data.caution),
      button(T.back, home, { class: 'main' }),
    );
  }

  // The diary, and its ways back to the teacher.
  const fileOf = () =>
    JSON.stringify({ format: 'levitar-diary', version: 1, sheet: data.sheet, entries }, null, 2);
  const checksum = (text) => {
    let [a, b] = [1, 0];
    for (const letter of text) {
      a = (a + letter.codePointAt(0)) % 65521;
      b = (b + a) % 65521;
    }
    return (b * 65536 + a).toString(36);
  };
  const codeOf = () => {
    const body = JSON.stringify([
      data.sheet,
      entries.map(({ on, item, felt, pain, sign }) => [
        on,
        item,
        felt,
        ...(pain === undefined && sign === undefined ? [] : [pain ?? '', sign ?? '']),
      ]),
    ]);
    return `LV1.${encodeURIComponent(body)}.${checksum(body)}`;
  };

  function diary() {
    const code = codeOf();
    const field = make('textarea', { id: 'code', readonly: true, rows: 4 }, code);
    const picture = make('div', { class: 'qr' });
    const listed = entries.map((entry) => {
      const item = data.items.find(({ id }) => id === entry.item);
      const felt = data.felt.find(({ id }) => id === entry.felt);
      return make(
        'li',
        {},
        `${entry.on} · ${item?.label ?? entry.item} · ${felt?.label ?? ''}`,
        entry.pain || entry.sign ? make('strong', {}, ` · ${T.told}`) : null,
      );
    });
    show(
      heading('h1', T.diaryTitle),
      canKeep ? null : make('p', { class: 'over' }, T.notKept),
      entries.length === 0 ? line(T.empty) : make('ol', { class: 'log' }, ...listed.reverse()),
      make(
        'div',
        { class: 'row' },
        button(
          T.save,
          () => {
            const url = URL.createObjectURL(new Blob([fileOf()], { type: 'application/json' }));
            make('a', { href: url, download: 'practice-diary.json' }).click();
            setTimeout(() => URL.revokeObjectURL(url), 10_000);
          },
          { disabled: entries.length === 0, class: 'main' },
        ),
        button(
          T.picture,
          () => {
            try {
              const made = qrcode(0, 'L');
              made.addData(code);
              made.make();
              picture.innerHTML = made.createSvgTag({ cellSize: 4, margin: 4, scalable: true });
              picture.firstChild.setAttribute('role', 'img');
              picture.firstChild.setAttribute('aria-label', T.pictureLabel);
            } catch {
              picture.textContent = T.tooLong;
            }
          },
          { disabled: entries.length === 0 },
        ),
      ),
      picture,
      make('label', { for: 'code' }, T.code),
      field,
      button(T.copy, () => {
        field.select();
        if (navigator.clipboard) void navigator.clipboard.writeText(code).catch(() => null);
        else document.execCommand('copy');
      }),
      button(T.back, home),
    );
  }

  home();
})();
