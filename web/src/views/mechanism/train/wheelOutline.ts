/** Path of a toothed wheel, in whatever unit its radii are: a trapezoid for each tooth. */
export function wheelOutline(x: number, y: number, teeth: number, radius: number, addendum: number): string {
  const [tip, foot] = [radius + addendum, Math.max(radius * 0.5, radius - addendum)];
  const step = (2 * Math.PI) / teeth;
  const at = (distance: number, angle: number) =>
    `${(x + distance * Math.cos(angle)).toFixed(2)} ${(y + distance * Math.sin(angle)).toFixed(2)}`;
  const points: string[] = [];
  for (let i = 0; i < teeth; i++) {
    const middle = i * step;
    points.push(
      at(foot, middle - 0.3 * step),
      at(tip, middle - 0.14 * step),
      at(tip, middle + 0.14 * step),
      at(foot, middle + 0.3 * step),
    );
  }
  return `M${points.join('L')}Z`;
}

/** Circle as a path, so that it joins other marks of one stroke. */
export const circlePath = (x: number, y: number, radius: number): string =>
  `M${x - radius} ${y}a${radius} ${radius} 0 1 0 ${2 * radius} 0a${radius} ${radius} 0 1 0 ${-2 * radius} 0`;
