/** Steps of 1, 2 or 5 that leave some so many figures beside a chart. */
export function ticks(first: number, last: number, wanted = 4): number[] {
  const rough = (last - first) / wanted || 1;
  const power = 10 ** Math.floor(Math.log10(rough));
  const step = [1, 2, 5, 10].map((n) => n * power).find((n) => n >= rough) ?? rough;
  const from = Math.ceil(first / step) * step;
  return Array.from({ length: Math.max(0, Math.floor((last - from) / step) + 1) }, (_, n) => from + n * step);
}
