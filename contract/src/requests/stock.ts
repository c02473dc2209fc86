import { checkPiece, instrumentKinds, mostPieces, type Piece, type PieceProblem } from '@green-beam/core';
import {
  array,
  boolean,
  lazy,
  mixed,
  number,
  object,
  string,
  ValidationError,
  type InferType,
  type Schema,
} from 'yup';
import { needed, shortText } from './fields';

const decimal = (name: string) => needed(name, 20);
const day = needed('day', 10);
const who = shortText('name of who found it', 80).defined('Who found it is missing.');

const found = { plusMinus: decimal('± of the correction'), on: day, by: who };
const correction = lazy((value: unknown) => {
  if (value === null) return mixed().nullable();
  const kind = typeof value === 'object' && value !== undefined && 'kind' in value ? value.kind : undefined;
  return kind === 'zero'
    ? object({
        ...found,
        kind: string().oneOf(['zero']).required(),
        error: decimal('zero error'),
      }).noUnknown()
    : object({
        ...found,
        kind: string().oneOf(['points'], 'A correction is a zero error or points.').required(),
        points: array(object({ at: decimal('reading'), add: decimal('correction') }).noUnknown())
          .max(40, 'A correction has at most 40 points.')
          .required('The points of the correction are missing.'),
      }).noUnknown();
});

/** A piece of the stockroom: its shape here, its sense by `checkPiece`. */
export const pieceSchema = object({
  tag: needed('tag', 40),
  kind: string()
    .oneOf(instrumentKinds, 'There is no such kind of instrument.')
    .required('The kind is missing.'),
  model: needed('make', 60),
  place: shortText('place', 80).defined('The place is missing.'),
  count: number()
    .strict()
    .typeError('How many: a whole number from 1.')
    .required('How many there are is missing.'),
  certified: object({
    plusMinus: decimal('± of the certificate'),
    source: shortText('certificate', 120).defined('The certificate is missing.'),
  })
    .noUnknown()
    .nullable()
    .default(null),
  correction,
  checks: array(
    object({ on: day, by: who, known: decimal('known value'), shown: decimal('shown value') }).noUnknown(),
  )
    .max(400, 'A piece keeps at most 400 checks.')
    .required('The checks are missing.'),
  faults: shortText('note on faults', 400).defined('The faults are missing.'),
  outOfUse: boolean().strict().required('Whether it is out of use is missing.'),
})
  .noUnknown()
  .test('sound', (piece, context) => {
    const problems = problemsOf(piece as unknown as Piece);
    return (
      problems.length === 0 ||
      new ValidationError(
        problems.map(({ field, sentence }) =>
          context.createError({ path: [context.path, field].filter(Boolean).join('.'), message: sentence }),
        ),
      )
    );
  }) as unknown as Schema<Piece>;

/** What does not even have the shape of a piece is refused for that. */
function problemsOf(piece: Piece): readonly PieceProblem[] {
  try {
    return checkPiece(piece);
  } catch {
    return [];
  }
}

/** Pieces to put into the stockroom, each in place of the one with its tag. */
export const newPieces = object({
  pieces: array(pieceSchema.defined())
    .min(1, 'There is no piece to keep.')
    .max(mostPieces, `At most ${mostPieces} pieces at once.`)
    .required('The pieces are missing.'),
  /** The revision that was changed, of one piece; null where it is taken as it comes, from a file. */
  revision: number().strict().integer().nullable().default(null),
}).noUnknown();

export type NewPieces = InferType<typeof newPieces>;
