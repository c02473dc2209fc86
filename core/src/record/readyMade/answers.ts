import type { Investigation } from '../investigation';

/**
 * What good answers to the questions of the ready-made say, by their title and the key of the question. Apart from them, so that what is made of a
 * ready-made for students does not carry it.
 */
const answers: Readonly<Record<string, Readonly<Record<string, string>>>> = {
  'Balance: can it be believed?': {
    keep: 'Either, with a reason: a correction where the error is larger than its own ±, stays the same from day to day and is written with the tag; a wider ± where it wanders between checks. Never both for one error.',
    tare: 'False: taring takes an offset away, not a scale that is too long. Only a known mass shows that.',
  },
  'Bolt pin: bronze or brass?': {
    alloy:
      'Brass 8.4 to 8.7, bronze 8.7 to 8.9 g/cm³. With ± 0.2 both lie within: cannot tell. Two cylinders of smaller bore, or weighing in water, would part them.',
    start:
      'False: two readings are taken, whatever they are; a start at a whole number tempts one to write it unread.',
  },
  'Net float: how light is cork?': {
    wax: 'Water makes the float heavier when it is weighed wet, and its volume seem smaller when it is weighed in water: both raise the density. Weigh it dry before and after: the difference over its volume is the most that it can be.',
    heavier:
      'False: of one cork both have the same density; the larger one has more of both mass and volume.',
  },
  'Deck sleeve: eight sides and a hole': {
    bore: 'False: a bore too wide takes too much volume away, so the metal’s volume comes out too small and the density too large, by more than 1 % where the wall is thin.',
  },
  'Evaporating pan: when will it be down to the mark?': {
    part: 'Depth counts the water that left over the whole surface if the walls are upright; weight counts all of it. A slanting wall, a rule that is not upright, film on the wall and a surface that trembles part them. The weight is better here: fewer assumptions.',
    exact: 'False: what counts is that the time is written as it was read.',
  },
  'First day: temperatures, an area, a volume, drops': {
    vessels:
      'The cylinder’s, to the place that it is read to; the beaker’s lines are for orientation, ± 5 % by its maker. Both numbers may be right within what their makers promise.',
    same: 'False: 20 °C is 293 K, 40 °C is 313 K.',
  },
  'Glassware: three ways to 20 mL': {
    beaker:
      'Luck can do it: three of a vessel good to ± 5 % that lie within 0.2 mL say that its reader fills alike, not that its line is right. Another day, another reader and the weighed volume would settle it; about five trials for its spread.',
    which:
      'Nearest to 20 mL and smallest scatter need not be the same vessel. A cylinder that always gives 19.7 is precise and not accurate.',
  },
  'Oil jar: how much does it hold?': {
    differ:
      'Wall and base are not of one thickness, the base is round inside, the inside is out of round; water may leave a film and a rounded surface. Water takes the shape as it is: give that one, with the other as a check, and say both.',
  },
  'Lamp oil: mass against volume': {
    float:
      'It floats: 0.8 g/cm³ against 0.998. Where the number says more than 1, a mass was taken with the vessel, or two volumes were read from different sides.',
  },
  'Mark to mark: does the cylinder agree with itself?': {
    where:
      'By weight: a vessel weighed before and after each pouring tells what left it. Where the sum is complete, the lines of one vessel are wrong; where it falls short, water stayed behind as a film or was spilt.',
    beaker: 'False: its lines are coarser than what is lost.',
  },
  'One drop: how much is it?': {
    per: '0.05 mL per one drop is 20 drops per one millilitre. Turned round, the relative ± stays the same.',
  },
  'Brine: portions into one beaker': {
    saturated:
      'Saturated brine has 1.20 g/cm³ at 20 °C. Within its ± the result may fit and yet not show it: a brine of 1.19 would fit as well. Undissolved salt at the bottom, or a further pinch that does not dissolve, settles it.',
  },
  'Portions: four times 10 mL into one flask': {
    best: 'With four portions the order of the means is shown; that it would be the same again is carried only where they lie further apart than their 95 %. A spread needs five. Neighbouring portions share a weighing, so that one slip makes one too large and the next too small.',
    shared:
      'True: the portion before it 0.02 g too large, the one after it 0.02 g too small; their sum is right.',
  },
  'Rivets: what does the crate weigh?': {
    double:
      'False: the tray is counted once. Take it away first; then twice as many have twice the mass, and the line through the points has the tray as its height.',
  },
  'Shackle ring: stainless or not?': {
    tell: 'Not where 7.85 lies within the stated ± of the result; then it could be, and so could other steels and cast irons near it. That it could be is not that it is.',
  },
  'Copper sheathing: how thin is it?': {
    worn: 'Wear is uneven: the three pieces and the places on one differ by more than their ±, and the edges are thinner. A thinner sheet is even. That its density was taken from a table speaks for neither.',
    grip: 'Debatable: it reads finer, at one place only, and on a bent sheet it reads the bend. The weighed thickness is the mean over the whole piece.',
  },
  'Slate in pieces: is bigger denser?': {
    small:
      'The cylinder first: its ± is the same for all, so the smallest rise has the largest relative ±. Another slate only if it lies further off than its own ±. Many small pieces together, or weighing in water, would tell.',
    bigger: 'False where all are of one slate; the masses and volumes rise together.',
  },
  'Pulley bush: outer less inner': {
    round:
      '0.1 mm on a bore of some 20 mm is 0.5 % of its diameter and 1 % of its area; the metal is the difference of two larger volumes, so that it counts for more. Turned readings average it.',
    relative: 'False: the ± of both add while the difference is smaller than either.',
  },
  'Tally board: the same length, five tools': {
    enough:
      'For the label the stick with centimetres. For a peg in its hole the hole decides: a fit of 0.1 mm needs the caliper, and the micrometer cannot reach into it. More digits than the purpose needs cost time and say nothing.',
    finer:
      'False: digits tell how finely it can be read. A worn or wrongly set tool is as fine and less accurate.',
  },
  'Tally token: two routes to one density': {
    trust:
      'They agree where their difference is no more than the ± of that difference, the shared mass left out. The sides are finer; they are wrong where the token is no box. Slate that soaks up water makes the second too large. Trust the one whose assumption you checked.',
  },
  'Thermometer: ice, room and boiling water': {
    trust:
      'Neither for itself: the one that showed ice and boiling water right. Write the tag, the reading as it was, and the correction with its ±; or the mean of both corrected, if both were checked.',
    hundred:
      'Only at 101.325 kPa. At 1000 m above the sea it boils near 97 °C; read the pressure and look it up.',
  },
  'Hanging in water and brine: one density, or two?': {
    same: 'They agree within their ±, or one value that both use is wrong: the density of the brine is the likeliest, since water’s is known. Change what was measured worst, never to make results fit; measure it again.',
    share: 'Density of water over that of the piece: brass about an eighth, slate more than a third.',
  },
};

/** An investigation with what good answers say, for staff. */
export const withAnswers = (investigation: Investigation): Investigation => ({
  ...investigation,
  questions: investigation.questions.map((question) => {
    const answer = answers[investigation.title]?.[question.key];
    return answer === undefined ? question : { ...question, answer };
  }),
});
