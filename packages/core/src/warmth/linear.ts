/** Solves A·x = b by elimination with partial pivoting. A is square and is used up; so is b. */
export function solveLinear(a: number[][], b: number[]): number[] {
  const size = b.length;
  for (let column = 0; column < size; column++) {
    let pivot = column;
    for (let row = column + 1; row < size; row++)
      if (Math.abs(at(a, row, column)) > Math.abs(at(a, pivot, column))) pivot = row;
    swap(a, column, pivot);
    swap(b, column, pivot);
    const top = a[column] as number[];
    const divisor = at(a, column, column);
    if (divisor === 0) throw new Error('The system has no single solution.');
    for (let row = column + 1; row < size; row++) {
      const line = a[row] as number[];
      const factor = (line[column] ?? 0) / divisor;
      if (factor === 0) continue;
      for (let each = column; each < size; each++) line[each] = (line[each] ?? 0) - factor * (top[each] ?? 0);
      b[row] = (b[row] ?? 0) - factor * (b[column] ?? 0);
    }
  }
  const x = new Array<number>(size).fill(0);
  for (let row = size - 1; row >= 0; row--) {
    let rest = b[row] ?? 0;
    for (let each = row + 1; each < size; each++) rest -= at(a, row, each) * (x[each] ?? 0);
    x[row] = rest / at(a, row, row);
  }
  return x;
}

const at = (a: readonly (readonly number[])[], row: number, column: number): number => a[row]?.[column] ?? 0;
function swap<T>(list: T[], one: number, other: number): void {
  if (one === other) return;
  [list[one], list[other]] = [list[other] as T, list[one] as T];
}
