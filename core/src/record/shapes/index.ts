import type { Investigation, Table } from '../investigation';
import {
  balanceCheck,
  boltPin,
  corkWithSinker,
  deckSleeve,
  evaporatingPan,
  glasswareThreeWays,
  jarInside,
  lampOil,
  markToMark,
  oneDrop,
  panBrine,
  portionsThreeVessels,
  rivetCrate,
  sheathing,
  slatePieces,
  sleeveInParts,
  thermometerCheck,
  twoMaterialsTwoLiquids,
} from '../readyMade';
import { box, cylinder, prism, sphere } from './bodies';

/** How something is measured, without the thing: what a teacher begins a new investigation from. */
export interface Shape {
  readonly key: string;
  readonly name: string;
  readonly of: 'a regular body' | 'any body' | 'a liquid' | 'many or a rate' | 'glass and instruments';
  readonly body: Investigation;
}

/** Words of a thing, and what they are for anything. */
type Words = Readonly<Record<string, string>>;

/** A method of ours in words for anything, without its object, its accepted values and its questions. */
function bare(from: Investigation, title: string, words: Words): Investigation {
  const body = Object.entries(words).reduce(
    (before, [own, any]) =>
      JSON.parse(JSON.stringify(before).replace(new RegExp(`\\b${own}\\b`, 'g'), any)) as Investigation,
    from,
  );
  return {
    ...body,
    title,
    object: '',
    tables: body.tables.map((table): Table => ({
      ...table,
      ...(table.rows ? { rows: table.rows.map(({ key, name }) => ({ key, name })) } : {}),
    })),
    results: body.results.map((plan) => ({ ...plan, accepted: null })),
    predictions: [],
    questions: [],
    model: null,
  };
}

const shape = (
  key: string,
  name: string,
  of: Shape['of'],
  from: Investigation,
  words: Words = {},
): Shape => ({
  key,
  name,
  of,
  body: bare(from, name, words),
});

/** Every shape; a new one is a line here. */
export const shapes: readonly Shape[] = [
  shape('box', 'Density of a box', 'a regular body', box),
  shape('cylinder', 'Density of a cylinder', 'a regular body', cylinder),
  shape('sphere', 'Density of a ball', 'a regular body', sphere),
  shape('tube', 'Density of a tube, outer less inner', 'a regular body', sleeveInParts, {
    'bronze bush': 'tube',
    bush: 'tube',
  }),
  shape('hexagon', 'Density of a six-sided prism with a bore', 'a regular body', prism),
  shape('octagon', 'Density of an eight-sided prism with a bore', 'a regular body', deckSleeve, {
    'bronze deck sleeve': 'prism',
    sleeve: 'prism',
  }),
  shape('sheet', 'Thickness of a sheet from its density', 'a regular body', sheathing),
  shape('displacement', 'Density by displacement', 'any body', boltPin, {
    'salvaged bolt pin': 'thing',
    'Mass of the pin': 'Mass',
    pin: 'object',
    ', and say which alloy it may be': '',
  }),
  shape('hanging', 'Density by hanging in two liquids', 'any body', twoMaterialsTwoLiquids, {
    'a bronze pin and a slate token': 'two pieces',
    Pin: 'First',
    Slate: 'Second',
  }),
  shape('sinker', 'Density of a floater, with a sinker', 'any body', corkWithSinker),
  shape('pieces', 'One material in pieces', 'any body', slatePieces),
  shape('totals', 'Density of a liquid, mass against volume', 'a liquid', lampOil, {
    'old lamp oil': 'a liquid',
    'Spilt oil': 'A spilt liquid',
    oil: 'liquid',
  }),
  shape('portions', 'Density of a liquid, portions into one receiver', 'a liquid', panBrine, {
    'brine from the pan': 'a liquid',
    brine: 'liquid',
  }),
  shape('inside', 'Inside of a vessel, two ways', 'a liquid', jarInside),
  shape('alike', 'Many alike: one from many', 'many or a rate', rivetCrate, {
    Rivets: 'Pieces',
    rivets: 'pieces',
    rivet: 'piece',
  }),
  shape('drops', 'Drops: how much is one?', 'many or a rate', oneDrop),
  shape('rate', 'A rate by a clock', 'many or a rate', evaporatingPan),
  shape(
    'threeWays',
    'Glassware calibrated by weighing, fresh vessels',
    'glass and instruments',
    glasswareThreeWays,
  ),
  shape(
    'oneFlask',
    'Glassware calibrated by weighing, one receiver',
    'glass and instruments',
    portionsThreeVessels,
  ),
  shape('marks', 'Glassware from mark to mark', 'glass and instruments', markToMark),
  shape(
    'thermometer',
    'Thermometer against ice and boiling water',
    'glass and instruments',
    thermometerCheck,
  ),
  shape('balance', 'Balance against reference masses', 'glass and instruments', balanceCheck),
];
