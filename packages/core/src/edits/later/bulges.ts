/** The flatter arc of this radius over a chord; null when the circle is too small to reach from end to end. */
export function bulgeOfRadius(chord: number, radius: number): number | null {
  const half = chord / 2;
  if (!(radius >= half)) return null;
  return (radius - Math.sqrt(radius * radius - half * half)) / half;
}

/** The arc of this length over a chord, by Newton's method; null when it is shorter than the chord. */
export function bulgeOfLength(chord: number, length: number): number | null {
  if (!(length >= chord) || !(chord > 0)) return null;
  // length / chord = θ / (2 sin(θ/2)); bracketed, so that it always settles
  const ratio = length / chord;
  let low = 0;
  let high = 2 * Math.PI - 1e-9;
  for (let i = 0; i < 80; i += 1) {
    const mid = (low + high) / 2;
    if (mid / (2 * Math.sin(mid / 2)) < ratio) low = mid;
    else high = mid;
  }
  return Math.tan((low + high) / 8);
}
