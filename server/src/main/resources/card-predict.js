/**
 * The pocket card's prediction. Its rates are the core's, as tables (see OxygenFlow); here they are only followed: from
 * the start without air, from a tap on "air is running" with it until its energy ends, and anew from each reading.
 *
 * tank: { start: {early, likely, late}, bare, kept: flows, airH: {early, likely, late} }
 * flow: { everyH, early, likely, late: { falling: [mg/L], rising: [mg/L] } }
 * events: [{ h, air: true | false } | { h, mgPerL }], hours since the power failed, in their order
 */
const cardPredict = (() => {
  const SIDES = ['early', 'likely', 'late'];

  /** Oxygen so many hours after it stood at a level, along a flow. */
  function along(flow, side, from, hours) {
    const { falling, rising } = flow[side];
    const way = from >= falling[falling.length - 1] ? falling : rising;
    const down = way === falling;
    let i = way.findIndex((v) => (down ? v <= from : v >= from));
    if (i < 0) return way[way.length - 1];
    const before = way[i - 1] ?? way[i];
    const within = before === way[i] ? 0 : (before - from) / (before - way[i]);
    const at = (i === 0 ? 0 : i - 1 + within) + hours / flow.everyH;
    const k = Math.floor(at);
    if (k >= way.length - 1) return way[way.length - 1];
    return way[k] + (at - k) * (way[k + 1] - way[k]);
  }

  /** The level on each side at a moment, and on which flow it is. */
  function at(tank, events, hours) {
    const oxygen = { ...tank.start };
    const left = { ...tank.airH };
    let air = false;
    let now = 0;
    const go = (until) => {
      for (const side of SIDES) {
        let rest = Math.max(0, until - now);
        if (air && left[side] > 0) {
          const aired = Math.min(rest, left[side]);
          oxygen[side] = along(tank.kept, side, oxygen[side], aired);
          left[side] -= aired;
          rest -= aired;
        }
        if (rest > 0) oxygen[side] = along(tank.bare, side, oxygen[side], rest);
      }
      now = Math.max(now, until);
    };
    for (const event of events) {
      if (event.h > hours) break;
      go(event.h);
      if (event.air !== undefined) air = event.air;
      else for (const side of SIDES) oxygen[side] = event.mgPerL;
    }
    go(hours);
    return oxygen;
  }

  /** From now on, the minute at which a side is below a line; null when it is not within so many hours. */
  function below(tank, events, line, side, fromH, withinH) {
    const STEP_H = 1 / 60;
    for (let h = fromH; h <= fromH + withinH; h += 10 * STEP_H) {
      if (at(tank, events, h)[side] < line) {
        // To the minute, and never later than it is.
        let early = Math.max(fromH, h - 10 * STEP_H);
        while (at(tank, events, early + STEP_H)[side] >= line && early + STEP_H <= h) early += STEP_H;
        return early;
      }
    }
    return null;
  }

  return { at, below };
})();
