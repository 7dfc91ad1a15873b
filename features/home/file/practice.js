/* The page that a student keeps: plain script, no request, nothing but what is in the file. */
(() => {
  'use strict';
  const data = JSON.parse(document.getElementById('sheet').textContent);
  const T = data.words;
  const key = `levitar-diary-${data.sheet}`;
  const root = document.getElementById('root');
  const isStill = matchMedia('(prefers-reduced-motion: reduce)').matches;
  // Under a finger nothing rests because it was touched last.
  const hasPointer = matchMedia('(hover: hover)').matches;
  const day = (date = new Date()) =>
    `${date.getFullYear()}-${String(date.getMonth() + 1).padStart(2, '0')}-${String(date.getDate()).padStart(2, '0')}`;
  const sayDay = (on) =>
    new Date(`${on}T12:00`).toLocaleDateString('en-GB', {
      day: 'numeric',
      month: 'long',
      year: 'numeric',
    });
  // Asked anew each time: a phone leaves a page open for days.
  const isOver = () => day() > data.ends;

  let entries = [];
  let canKeep = true;
  try {
    const kept = JSON.parse(localStorage.getItem(key) ?? '[]');
    if (Array.isArray(kept)) entries = kept;
  } catch {
    canKeep = false;
  }
  /** What counts: an entry that was taken back stays in its place, and goes nowhere. */
  const counted = () => entries.filter(({ isBack }) => !isBack);
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

  /** So that a letter mistyped is noticed, and a word is known again without being read. */
  const checksum = (text) => {
    let [a, b] = [1, 0];
    for (const letter of text) {
      a = (a + letter.codePointAt(0)) % 65521;
      b = (b + a) % 65521;
    }
    return (b * 65536 + a).toString(36);
  };

  // What was told and no teacher has heard of yet closes here what it closes in class.
  const isTold = ({ pain, sign }) => Boolean(pain || sign);
  const tellingOf = ({ on, item, felt, pain, sign }) =>
    checksum(JSON.stringify([on, item, felt, pain ?? '', sign ?? '']));
  const after = () => {
    const heard = [...data.heard];
    let open = data.items.map(({ id }) => id);
    let instead = null;
    for (const entry of entries.filter(isTold)) {
      const at = heard.indexOf(tellingOf(entry));
      if (at >= 0) heard.splice(at, 1);
      if (at >= 0 || entry.isBack) continue;
      const closed = [];
      if (entry.sign) closed.push(data.after.sign);
      if (entry.pain) closed.push(data.after.places[entry.pain] ?? data.after.places.elsewhere);
      for (const left of closed) {
        open = open.filter((id) => left.open.includes(id));
        instead ??= left.instead;
      }
    }
    return { open, instead };
  };

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
  const stripOf = (move, item, more) =>
    make(
      'div',
      { class: `poses ${more}` },
      ...move.poses.flatMap((at, index) => [
        index === 0 ? '' : make('span', { 'aria-hidden': 'true' }, '→'),
        svgOf(move, at, item.label),
      ]),
    );
  let isHeldStill = false;
  /** @param {() => number | null} [share] where a count stands, 0 to 1; without one at its own pace */
  const drawing = (item, share = () => null) => {
    const move = data.moves[item.move];
    if (!move) return null;
    if (isStill) return stripOf(move, item, '');
    const svg = svgOf(move, move.poses[0], item.label);
    const box = make('div', { class: 'drawing' }, svg);
    const whole = move.round[move.round.length - 1][1];
    let [gone, last] = [0, performance.now()];
    let isHeld = false;
    let shown = move.poses[0];
    const show = (picture) => {
      if (picture === shown) return;
      shown = picture;
      svg.innerHTML = move.pictures[picture];
    };
    const tick = () => {
      if (!svg.isConnected) {
        timers.delete(tick);
        return;
      }
      const now = performance.now();
      const isOverIt = hasPointer && box.matches(':hover');
      if (!isHeld && !isHeldStill && !isOverIt) gone += (now - last) / 1000;
      last = now;
      if (isHeld || isHeldStill) return;
      const at = (share() ?? gone / whole) % 1;
      show((move.round.find(([, until]) => at * whole < until) ?? move.round[0])[0]);
    };
    // A tap holds it and lets it go; the arrow keys go from pose to pose.
    box.addEventListener('click', () => (isHeld = !isHeld));
    box.tabIndex = 0;
    box.setAttribute('role', 'group');
    box.setAttribute('aria-label', `${T.drawing}: ${item.label}`);
    box.addEventListener('keydown', (event) => {
      const by = { ArrowRight: 1, ArrowLeft: -1 }[event.key];
      if (by === undefined) return;
      event.preventDefault();
      const poses = move.poses;
      const from = isHeld ? poses.indexOf(shown) : -1;
      isHeld = true;
      show(poses[from < 0 ? 0 : (from + by + poses.length) % poses.length]);
    });
    timers.add(tick);
    return make('div', {}, box, stripOf(move, item, 'paper'));
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
    const over = isOver();
    const left = after();
    // What is for rest comes when nothing else of the sheet is left.
    const isLeft = data.items.some(({ id, isRest }) => !isRest && left.open.includes(id));
    const shown = data.items.filter(
      ({ id, isRest }) => !isRest || (!isLeft && left.open.includes(id)),
    );
    const items = shown.map((item) => {
      const done = counted().filter((one) => one.item === item.id).length;
      const isClosed = !left.open.includes(item.id);
      return make(
        'li',
        {},
        drawing(item),
        make('h2', {}, item.label),
        make('p', { class: 'dose' }, `${item.dose} · ${T.days.replace('#', item.days)}`),
        line(item.how),
        item.side ? line(T.side.replace('#', item.side)) : null,
        ...item.more.map(line),
        done > 0
          ? make('p', { class: 'quiet' }, done === 1 ? T.doneOnce : T.doneTimes.replace('#', done))
          : null,
        isClosed
          ? make('p', { class: 'over' }, T.leftOut)
          : button(T.begin, () => (isOver() ? home() : run(item)), {
              class: 'main',
              disabled: over,
              'aria-label': `${T.begin}: ${item.label}`,
            }),
      );
    });
    show(
      heading('h1', T.title.replace('#', data.name)),
      over
        ? make('p', { class: 'over', role: 'status' }, T.over.replace('#', data.endsWords))
        : make('p', { class: 'quiet' }, T.until.replace('#', data.endsWords)),
      data.instead || left.instead
        ? make('p', { class: 'over' }, data.instead ?? left.instead)
        : null,
      isStill
        ? null
        : button(
            isHeldStill ? T.letMove : T.holdStill,
            (event) => {
              isHeldStill = !isHeldStill;
              event.currentTarget.textContent = isHeldStill ? T.letMove : T.holdStill;
            },
            { class: 'small' },
          ),
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
      button(T.diary.replace('#', counted().length), diary),
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
    let gone = 0;
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
    /** The figure goes with the count, and waits with whoever rests. */
    const share = () => {
      const step = steps[index];
      if (step === undefined || step.kind !== 'hold') return 0;
      return step.times ? (gone / step.seconds) * step.times : null;
    };
    const say = () => {
      const step = steps[index];
      if (step === undefined) return;
      // What has an end counts down to it, what has none counts up.
      const shown = step.seconds === null ? Math.floor(gone) : Math.ceil(step.seconds - gone);
      clock.textContent = `${Math.floor(shown / 60)}:${String(shown % 60).padStart(2, '0')}`;
      skip.textContent = step.seconds === null ? T.done : T.skip;
      // What is counted has its own pace; a hold is a whole number of breaths, stretched a little.
      const beats = step.times ?? Math.max(1, Math.round((step.seconds ?? 0) / data.breathS));
      const beat = step.seconds === null ? data.breathS : step.seconds / beats;
      const into = gone % beat;
      const isIn = into < beat / 2;
      const at = Math.min(step.times, Math.floor(gone / beat) + 1);
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
      gone = 0;
    };
    const skip = button(T.skip, next);
    const timer = setInterval(() => {
      const now = performance.now();
      if (!isPaused) gone += (now - last) / 1000;
      last = now;
      const { seconds } = steps[index];
      if (seconds !== null && gone >= seconds) next();
      say();
    }, 100);
    show(
      heading('h1', item.label),
      drawing(item, share),
      line(item.dose),
      label,
      clock,
      breath,
      phase,
      make(
        'div',
        { class: 'row' },
        pause,
        skip,
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
    JSON.stringify(
      { format: 'levitar-diary', version: 1, sheet: data.sheet, entries: counted() },
      null,
      2,
    );
  const codeOf = () => {
    const body = JSON.stringify([
      data.sheet,
      counted().map(({ on, item, felt, pain, sign }) => [
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
        make(
          entry.isBack ? 's' : 'span',
          {},
          `${sayDay(entry.on)} · ${item?.label ?? entry.item} · ${felt?.label ?? ''}`,
        ),
        entry.isBack ? ` · ${T.isBack}` : null,
        isTold(entry) && !entry.isBack ? make('strong', {}, ` · ${T.told}`) : null,
        ' ',
        button(
          entry.isBack ? T.putBack : T.takeBack,
          () => {
            if (entry.isBack) delete entry.isBack;
            else entry.isBack = true;
            keep();
            diary();
          },
          {
            class: 'small',
            'aria-label': `${entry.isBack ? T.putBack : T.takeBack}: ${item?.label ?? entry.item}, ${sayDay(entry.on)}`,
          },
        ),
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
          { disabled: counted().length === 0, class: 'main' },
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
          { disabled: counted().length === 0 },
        ),
      ),
      picture,
      make('label', { for: 'code' }, T.code),
      field,
      make(
        'div',
        { class: 'row' },
        button(T.copy, (event) => {
          field.select();
          const pressed = event.currentTarget;
          const isCopied = () => (pressed.textContent = T.copied);
          if (navigator.clipboard) navigator.clipboard.writeText(code).then(isCopied, () => null);
          else if (document.execCommand('copy')) isCopied();
        }),
        button(T.back, home),
      ),
    );
  }

  home();
})();
