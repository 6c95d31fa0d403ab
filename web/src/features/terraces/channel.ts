import { size } from "./pieces";

/** A wire that has to get from one x to another within a channel of level tracks. */
export interface Run {
  from: number;
  to: number;
}

const apart = 5;
const overlap = (a: Run, b: Run) =>
  Math.min(a.from, a.to) - apart < Math.max(b.from, b.to) && Math.min(b.from, b.to) - apart < Math.max(a.from, a.to);

/**
 * Gives each run a track, 0 the uppermost, so that no two runs on one track meet. Runs to one side are nested: the one that starts
 * furthest that way runs above the others, so that those that keep their order do not cross. Equal runs share a track.
 */
export function assignTracks(runs: readonly Run[]): { track: number[]; count: number } {
  const track = runs.map(() => 0);
  // Wires from one radio down one lane are one line.
  const leader = runs.map((a) => runs.findIndex((b) => b.from === a.from && b.to === a.to));
  const order = runs.map((_, i) => i).filter((i) => leader[i] === i && run(i).from !== run(i).to);
  const right = order.filter((i) => run(i).to > run(i).from).sort((a, b) => run(b).from - run(a).from || a - b);
  const left = order.filter((i) => run(i).to < run(i).from).sort((a, b) => run(a).from - run(b).from || a - b);
  const done: number[] = [];
  for (const group of [right, left]) {
    const mine: number[] = [];
    for (const i of group) {
      let t = Math.max(-1, ...mine.filter((j) => overlap(run(i), run(j))).map((j) => track[j] ?? 0)) + 1;
      while (done.some((j) => track[j] === t && overlap(run(i), run(j)))) {
        t++;
      }
      track[i] = t;
      mine.push(i);
      done.push(i);
    }
  }
  leader.forEach((first, i) => (track[i] = track[first] ?? 0));
  return { track, count: done.length === 0 ? 0 : Math.max(...done.map((i) => track[i] ?? 0)) + 1 };

  function run(i: number): Run {
    return runs[i] ?? { from: 0, to: 0 };
  }
}

/** How high a channel with so many tracks is. */
export const channelHeight = (tracks: number) => size.channel.above + Math.max(0, tracks - 1) * size.lane + size.channel.below;

/** Where a track lies below the top of its channel. */
export const trackY = (track: number) => size.channel.above + track * size.lane;
