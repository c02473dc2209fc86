import type { Arrangement, BenchesAnswer } from '@green-beam/contract';

/** Who sits where, and who is kept apart, as it is sent. */
export type Seats = Pick<Arrangement, 'benches' | 'apart'>;
export type SeatedStudent = BenchesAnswer['students'][number];

export const seatsOf = ({ benches, apart }: BenchesAnswer): Seats => ({
  benches: benches.map(({ id, name, members }) => ({ id, name, members: [...members] })),
  apart: apart.map((pair) => [...pair]),
});

/** The first `Bench 1`, `Bench 2` … that is free. */
export function nextName(benches: Seats['benches']): string {
  const taken = new Set(benches.map(({ name }) => name.toLowerCase()));
  for (let nth = 1; ; nth += 1) if (!taken.has(`bench ${nth}`)) return `Bench ${nth}`;
}
