/** A made-up school by the sea helps a small harbour museum to find out what its salvaged fittings are made of. */
export const teacher = {
  name: 'Ms Marrow',
  address: 'marrow@lantern-quay.example',
  password: 'level beam 9',
};
export const coTeacher = { name: 'Mr Teal', address: 'teal@lantern-quay.example', password: 'level beam 10' };
export const demoClass = { name: '9 Tern', code: 'TERN9' };

/** Two more classes of the same teacher, each with other house rules. */
export const furtherClasses = [
  {
    name: '8 Plover',
    code: 'PLVR8',
    preset: 'Half-division',
    students: ['Alder Finch', 'Briony Sands', 'Calder Reef', 'Dulcie Wharf'],
  },
  {
    name: '12 Gannet',
    code: 'GANT12',
    preset: 'Metrology',
    students: ['Edda Keel', 'Fergal Strand', 'Greta Holm', 'Hollis Tide'],
  },
] as const;

/** How a made-up student reads: the share of slips, and the faults that their slips lean to. */
export interface Reader {
  readonly name: string;
  readonly slips: number;
  readonly habits: readonly string[];
}

const reader = (name: string, slips: number, ...habits: string[]): Reader => ({ name, slips, habits });

/** Three to a bench, in this order. */
export const readers: readonly Reader[] = [
  reader('Adaline Moor', 0.15, 'top-of-meniscus'),
  reader('Bastian Wren', 0.5, 'top-of-meniscus', 'dropped-trailing-zero'),
  reader('Corin Vale', 0.3, 'rider-rounded-up'),
  reader('Delphi Marsh', 0.1),
  reader('Eskil Tarn', 0.35, 'miscounted-division'),
  reader('Fenna Holt', 0.45, 'top-of-meniscus'),
  reader('Garrick Sloe', 0.2, 'dropped-final-digit'),
  reader('Hesper Lunt', 0.3, 'empty-place-dropped'),
  reader('Ivo Brack', 0.55, 'top-of-meniscus', 'next-label'),
  reader('Junia Fell', 0.1),
  reader('Kester Pike', 0.4, 'extra-digit'),
  reader('Linnea Cray', 0.25, 'top-of-meniscus'),
  reader('Magnus Dell', 0.3, 'riders-swapped'),
  reader('Nerys Quill', 0.15),
  reader('Osric Thorne', 0.4, 'top-of-meniscus', 'wrong-scale'),
  reader('Petra Lowe', 0.2, 'dropped-trailing-zero'),
  reader('Quentin Ashe', 0.35, 'rider-forgotten'),
  reader('Rhoswen Kite', 0.1),
  reader('Silas Burr', 0.5, 'top-of-meniscus', 'target-written'),
  reader('Thora Gale', 0.2, 'next-label'),
  reader('Ulric Stone', 0.3, 'empty-place-dropped'),
  reader('Verity Moss', 0.15),
  reader('Wilfred Sand', 0.45, 'top-of-meniscus', 'dropped-final-digit'),
  reader('Xanthe Reed', 0.25, 'miscounted-division'),
];

export const studentsPerBench = 3;

/** How far each bench has come, in the order of the benches. */
export const benchProgress = [
  'complete',
  'corrected',
  'complete',
  'two trials',
  'one reading',
  'complete',
  'two trials',
  'empty',
] as const;
export type Progress = (typeof benchProgress)[number];
