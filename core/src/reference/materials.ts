export const materialKinds = ['metal', 'stone or glass', 'plastic', 'wood', 'liquid', 'ice'] as const;

/** A material and where its density lies at 20 °C, in g/cm³. */
export interface Material {
  readonly name: string;
  readonly kind: (typeof materialKinds)[number];
  readonly low: number;
  readonly high: number;
  readonly source: string;
}

const tables = 'usual tables of physical constants, 20 °C';
const varies = `${tables}; it varies with composition`;

const row = (
  name: string,
  kind: Material['kind'],
  low: number,
  high = low,
  source = low === high ? tables : varies,
): Material => ({ name, kind, low, high, source });

/** Materials that ship with the app: ranges where a material varies. */
export const materials: readonly Material[] = [
  row('aluminium', 'metal', 2.7),
  row('titanium', 'metal', 4.51),
  row('zinc', 'metal', 7.13),
  row('tin', 'metal', 7.29),
  row('stainless steel', 'metal', 7.7, 8.0),
  row('carbon steel', 'metal', 7.85),
  row('iron', 'metal', 7.87),
  row('brass', 'metal', 8.4, 8.73),
  row('bronze', 'metal', 8.7, 8.9),
  row('copper', 'metal', 8.96),
  row('bismuth', 'metal', 9.79),
  row('silver', 'metal', 10.49),
  row('lead', 'metal', 11.34),
  row('soda-lime glass', 'stone or glass', 2.47, 2.54),
  row('granite', 'stone or glass', 2.6, 2.7),
  row('slate', 'stone or glass', 2.7, 2.9),
  row('polypropylene', 'plastic', 0.9, 0.91),
  row('polyethylene', 'plastic', 0.91, 0.97),
  row('nylon', 'plastic', 1.13, 1.15),
  row('acrylic', 'plastic', 1.18),
  row('PVC', 'plastic', 1.3, 1.45),
  row('cork', 'wood', 0.12, 0.26),
  row('pine', 'wood', 0.4, 0.6),
  row('oak', 'wood', 0.6, 0.8),
  row('lamp oil', 'liquid', 0.78, 0.82),
  row('propan-2-ol', 'liquid', 0.785),
  row('ethanol', 'liquid', 0.789),
  row('olive oil', 'liquid', 0.911, 0.918),
  row('water', 'liquid', 0.998),
  row('sea water', 'liquid', 1.02, 1.03),
  row('ethylene glycol', 'liquid', 1.113),
  row('saturated brine', 'liquid', 1.2),
  row('glycerol', 'liquid', 1.261),
  row('ice', 'ice', 0.917, 0.917, 'usual tables of physical constants, 0 °C'),
];
