/** What an entry is about: a cell of a trial, something said of a trial, or something of the logbook as a whole. */
export type Subject =
  | { readonly kind: 'reading'; readonly trial: number; readonly column: string }
  /** `abandoned`, `excluded` or `counts`, each with its reason; a remark; a photograph by its id; an abandoned run of drops. */
  | {
      readonly kind: 'standing' | 'remark' | 'photo' | 'run';
      readonly trial: number;
      readonly table: string;
    }
  /** The mean of a column that a student works. */
  | { readonly kind: 'mean'; readonly column: string }
  | { readonly kind: 'answer' | 'prediction'; readonly question: string }
  /** What is claimed of the groups of a result, before what they carry is shown: `density/more accurate`. */
  | { readonly kind: 'claim'; readonly question: string }
  /** A piece of the stockroom by its tag, as it was when it was taken to the bench. */
  | { readonly kind: 'piece'; readonly piece: string }
  /** On what a piece of the kit is read from now on, by the tag that the plan gives it. */
  | { readonly kind: 'kit'; readonly role: string }
  /** The staff looked the data through: everything up to the entry whose id is its text. */
  | { readonly kind: 'initials' }
  | { readonly kind: 'hand-in' };

export type SubjectKind = Subject['kind'];

export const subjectKinds = [
  'reading',
  'standing',
  'remark',
  'photo',
  'run',
  'mean',
  'answer',
  'prediction',
  'claim',
  'piece',
  'kit',
  'initials',
  'hand-in',
] as const satisfies readonly SubjectKind[];

/** A subject as a row keeps it: the trial (0 for the logbook as a whole), and the column, table or question that it is of. */
export interface FlatSubject {
  readonly kind: SubjectKind;
  readonly trial: number;
  readonly of: string;
}

/** A subject out of its row. */
export function subjectFrom({ kind, trial, of }: FlatSubject): Subject {
  switch (kind) {
    case 'reading':
      return { kind, trial, column: of };
    case 'standing':
    case 'remark':
    case 'photo':
    case 'run':
      return { kind, trial, table: of };
    case 'mean':
      return { kind, column: of };
    case 'answer':
    case 'prediction':
    case 'claim':
      return { kind, question: of };
    case 'piece':
      return { kind, piece: of };
    case 'kit':
      return { kind, role: of };
    case 'initials':
    case 'hand-in':
      return { kind };
  }
}

/** A subject as its row. */
export const flatSubject = (subject: Subject): FlatSubject => ({
  kind: subject.kind,
  trial: 'trial' in subject ? subject.trial : 0,
  of: ofWhat(subject),
});

function ofWhat(subject: Subject): string {
  switch (subject.kind) {
    case 'reading':
    case 'mean':
      return subject.column;
    case 'standing':
    case 'remark':
    case 'photo':
    case 'run':
      return subject.table;
    case 'answer':
    case 'prediction':
    case 'claim':
      return subject.question;
    case 'piece':
      return subject.piece;
    case 'kit':
      return subject.role;
    case 'initials':
    case 'hand-in':
      return '';
  }
}

/** Entries with the same key are about the same: the later strikes the earlier. */
export function subjectKey(subject: Subject): string {
  const { kind, trial, of } = flatSubject(subject);
  return kind === 'reading' ? `${trial}/${of}` : `${trial}/${kind} ${of}`;
}

/** The key of a cell. */
export const cellKey = (trial: number, column: string): string =>
  subjectKey({ kind: 'reading', trial, column });

/**
 * What an entry of an earlier version is about: it said so in its column, `@remark fill`, and may have waited to be sent since.
 * @param column as it was written then.
 */
export function formerSubject(column: string): Pick<FlatSubject, 'of'> & { readonly kind: string } {
  const [, kind, of = ''] = /^@(\S+)(?: (.*))?$/.exec(column) ?? [];
  return kind === undefined ? { kind: 'reading', of: column } : { kind, of };
}
