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
      return { kind, question: of };
    case 'hand-in':
      return { kind };
  }
}

/** A subject as its row. */
export const flatSubject = (subject: Subject): FlatSubject => ({
  kind: subject.kind,
  trial: 'trial' in subject ? subject.trial : 0,
  of:
    'column' in subject
      ? subject.column
      : 'table' in subject
        ? subject.table
        : 'question' in subject
          ? subject.question
          : '',
});

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
