/**
 * What a mistyped time most likely was: minutes with two digits swapped, one digit left out or too many, an hour left
 * out or counted twice, hours typed as minutes. Null when none comes near what is expected.
 *
 * @param expected min
 * @param sd one sigma of ln(expected)
 */
export function meant(minutes: number, expected: number, sd: number): number | null {
  const text = String(Math.round(minutes));
  const ways = [
    minutes * 10,
    minutes / 10,
    minutes + 60,
    minutes + 120,
    minutes - 60,
    minutes * 60,
    ...(text.length === 2 ? [Number(`${text[1]}${text[0]}`)] : []),
    ...(text.length === 3 ? [Number(text.slice(1)), Number(text.slice(0, 2))] : []),
    // 1.1 for an hour and ten minutes
    ...(minutes < 4 && minutes !== Math.round(minutes)
      ? [Math.floor(minutes) * 60 + Math.round((minutes % 1) * 100)]
      : []),
  ];
  const near = ways
    .filter((m) => m > 1 && m < 600)
    .map((m) => ({ m: Math.round(m), off: Math.abs(Math.log(Math.round(m) / expected)) }))
    .sort((a, b) => a.off - b.off)[0];
  return near && near.off < Math.max(0.12, 1.6 * sd) ? near.m : null;
}
