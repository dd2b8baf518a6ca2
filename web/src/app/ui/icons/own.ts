/** Icons of our own, in the weight of the others: lines of 56 on a field of 960. */
const svg = (paths: string) => `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 -960 960 960">${paths}</svg>`;
const line = (x1: number, y1: number, x2: number, y2: number, width: number) =>
  `<path d="M${x1} ${y1}L${x2} ${y2}" fill="none" stroke="currentColor" stroke-width="${width}" stroke-linecap="round"/>`;
const ladderOf = (width: number) =>
  svg(
    [line(310, -860, 310, -100, width), line(650, -860, 650, -100, width)].join('') +
      [-740, -570, -400, -230].map((y) => line(310, y, 650, y, width)).join(''),
  );

export const ladder = ladderOf(58);
export const ladderFill = ladderOf(104);
