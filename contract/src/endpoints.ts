import type { Conventions, Material } from '@green-beam/core';
import type {
  ArrivedEntries,
  AttemptAnswer,
  BenchAnswer,
  BenchesAnswer,
  AtHandAnswer,
  BoardAnswer,
  CalculationAnswer,
  CallsAnswer,
  ClassName,
  ComparisonsAnswer,
  ConventionsAnswer,
  DrillAnswer,
  DrillAttemptAnswer,
  DrillsAnswer,
  EntriesAnswer,
  FeedAnswer,
  HouseRulesAnswer,
  InvestigationsAnswer,
  LogbookAnswer,
  LogbooksAnswer,
  MarksAnswer,
  MaterialsAnswer,
  OwnCallAnswer,
  OwnTasksAnswer,
  PoolAnswer,
  PractisedAnswer,
  PresetsAnswer,
  ReadingsAnswer,
  ReviewsAnswer,
  SessionAnswer,
  SettingAnswer,
  ClassQuestionAnswer,
  SlipsAnswer,
  StaffAnswer,
  StaffQuestionAnswer,
  StockAnswer,
  StudentAnswer,
  TakenReading,
  TasksAnswer,
  WhichAnswer,
  WordsAnswer,
} from './answers';
import type {
  Arrangement,
  AskedWords,
  ClassChange,
  DeletedClass,
  InvestigationChange,
  NewAttempt,
  NewCalculation,
  NewCall,
  NewClass,
  NewComparison,
  NewDrill,
  NewDrillAttempt,
  NewEntry,
  NewFreeLogbook,
  NewHouseRules,
  NewInitials,
  NewInvestigation,
  NewPassword,
  NewPieces,
  NewRearranged,
  NewReview,
  NewSetting,
  NewClassQuestion,
  NewSpotted,
  NewSlips,
  NewStaff,
  NewStationQuestion,
  NewStudents,
  NewTask,
  StudentChange,
  StudentSignIn,
  TakeQuestion,
  TaskChange,
  TeacherSignIn,
  WhichInstrument,
} from './requests';
import { paths } from './paths';

export type Method = 'get' | 'post' | 'put' | 'delete';

/** One row types both ends of the wire: where it goes, what goes there, and what comes back. */
export interface Endpoint<Path extends string = string, Body = unknown, Answer = unknown> {
  readonly method: Method;
  readonly path: Path;
  /** Never there: it carries the types alone. */
  readonly types?: (body: Body) => Answer;
}

type Any = Endpoint<string, never>;
export type BodyOf<E extends Any> = E extends Endpoint<string, infer Body> ? Body : never;
export type AnswerOf<E extends Any> = E extends Endpoint<string, never, infer Answer> ? Answer : never;
export type PathOf<E extends Any> = E extends Endpoint<infer Path, never> ? Path : never;

/** The names in an address: `classId` of `/api/classes/:classId/board`. */
export type NamesIn<Path extends string> = Path extends `${string}:${infer Name}/${infer Rest}`
  ? Name | NamesIn<Rest>
  : Path extends `${string}:${infer Name}`
    ? Name
    : never;

/** On a shared device unless it says otherwise. */
type Signing<In extends { readonly ownDevice: boolean }> = Omit<In, 'ownDevice'> &
  Partial<Pick<In, 'ownDevice'>>;

/** No body. */
type Nothing = undefined;
/** Done, and nothing to say. */
type Done = object | void;

const row =
  (method: Method) =>
  <Body, Answer>() =>
  <const Path extends string>(path: Path): Endpoint<Path, Body, Answer> => ({ method, path });
const get = row('get');
const post = row('post');
const put = row('put');
const remove = row('delete');

/** Every endpoint of the API. */
export const endpoints = {
  session: get<Nothing, SessionAnswer>()(paths.session),
  signInTeacher: post<Signing<TeacherSignIn>, SessionAnswer>()(paths.teacherSession),
  signInStudent: post<Signing<StudentSignIn>, SessionAnswer>()(paths.studentSession),
  changePassword: post<NewPassword, SessionAnswer>()(paths.password),
  signOut: remove<Nothing, SessionAnswer>()(paths.session),
  signOutEverywhere: remove<Nothing, SessionAnswer>()(paths.everySession),
  events: get<Nothing, void>()(paths.events),

  bench: get<Nothing, BenchAnswer>()(paths.bench),
  newSetting: post<NewSetting, SettingAnswer>()(paths.settings),
  setting: get<Nothing, SettingAnswer>()(paths.setting),
  attempt: post<NewAttempt, AttemptAnswer>()(paths.attempts),
  words: post<AskedWords, WordsAnswer>()(paths.words),
  presets: get<Nothing, PresetsAnswer>()(paths.presets),
  which: post<WhichInstrument, WhichAnswer>()(paths.which),
  feed: get<Nothing, FeedAnswer>()(paths.feed),
  takeFeed: post<object, TakenReading>()(paths.takeFeed),

  question: get<Nothing, ClassQuestionAnswer>()(paths.question),
  takeQuestion: post<TakeQuestion, SettingAnswer>()(paths.takeQuestion),
  classQuestion: get<Nothing, StaffQuestionAnswer>()(paths.classQuestion),
  newClassQuestion: post<NewClassQuestion, StaffQuestionAnswer>()(paths.classQuestion),
  newStation: post<NewStationQuestion, StaffQuestionAnswer>()(paths.classStation),
  revealQuestion: post<object, StaffQuestionAnswer>()(paths.revealQuestion),
  endQuestion: remove<Nothing, Done>()(paths.classQuestion),

  conventions: get<Nothing, ConventionsAnswer>()(paths.conventions),
  drills: get<Nothing, DrillsAnswer>()(paths.drills),
  newDrillItem: post<NewDrill, DrillAnswer>()(paths.drillItems),
  drillItem: get<Nothing, DrillAnswer>()(paths.drillItem),
  drillAttempt: post<NewDrillAttempt, DrillAttemptAnswer>()(paths.drillAttempts),
  rearranged: post<NewRearranged, PractisedAnswer>()(paths.rearranged),
  spotted: post<NewSpotted, PractisedAnswer>()(paths.spotted),
  keepCalculation: post<NewCalculation, CalculationAnswer>()(paths.calculations),

  logbooks: get<Nothing, LogbooksAnswer>()(paths.logbooks),
  beginLogbook: post<NewFreeLogbook, { readonly logbookId: string }>()(paths.beginLogbook),
  openLogbook: post<object, { readonly logbookId: string }>()(paths.openLogbook),
  logbook: get<Nothing, LogbookAnswer>()(paths.logbook),
  reviews: get<Nothing, ReviewsAnswer>()(paths.reviews),
  handBack: post<NewReview, ReviewsAnswer>()(paths.reviews),
  initial: post<NewInitials, ArrivedEntries>()(paths.initials),
  marks: get<Nothing, MarksAnswer>()(paths.marks),
  newEntry: post<NewEntry, ArrivedEntries>()(paths.entries),
  entries: get<Nothing, EntriesAnswer>()(paths.entries),
  newBlock: post<{ readonly id: string; readonly entries: readonly NewEntry[] }, ArrivedEntries>()(
    paths.blocks,
  ),
  keepPhoto: put<Blob, Done>()(paths.photo),
  photo: get<Nothing, void>()(paths.photo),
  investigations: get<Nothing, InvestigationsAnswer>()(paths.investigations),
  newInvestigation: post<NewInvestigation, { readonly id: string }>()(paths.investigations),
  pool: get<Nothing, PoolAnswer>()(paths.pool),
  changeInvestigation: post<InvestigationChange, Done>()(paths.investigation),

  readings: get<Nothing, ReadingsAnswer>()(paths.readings),
  comparisons: get<Nothing, ComparisonsAnswer>()(paths.comparisons),
  keepComparison: post<NewComparison, ComparisonsAnswer>()(paths.comparisons),
  removeComparison: remove<Nothing, ComparisonsAnswer>()(paths.comparison),

  stock: get<Nothing, StockAnswer>()(paths.stock),
  keepPieces: post<NewPieces, StockAnswer>()(paths.stock),
  removePiece: remove<Nothing, StockAnswer>()(paths.piece),
  materials: get<Nothing, MaterialsAnswer>()(paths.materials),
  keepMaterial: post<Material, MaterialsAnswer>()(paths.materials),
  removeMaterial: remove<Nothing, MaterialsAnswer>()(paths.material),

  changeClass: post<ClassChange, Done>()(paths.class),
  staff: get<Nothing, StaffAnswer>()(paths.staff),
  addStaff: post<NewStaff, StaffAnswer>()(paths.staff),
  removeStaff: remove<Nothing, StaffAnswer>()(paths.staffMember),
  wholeClass: get<Nothing, void>()(paths.wholeClass),
  deleteClass: post<DeletedClass, Done>()(paths.deletion),
  newClass: post<NewClass, ClassName>()(paths.classes),
  houseRules: get<Nothing, HouseRulesAnswer>()(paths.houseRules),
  reviseHouseRules: post<Omit<NewHouseRules, 'rules'> & { readonly rules: Conventions }, HouseRulesAnswer>()(
    paths.houseRules,
  ),
  ownTasks: get<Nothing, OwnTasksAnswer>()(paths.ownTasks),
  tasks: get<Nothing, TasksAnswer>()(paths.tasks),
  setTask: post<NewTask, TasksAnswer>()(paths.tasks),
  changeTask: post<TaskChange, TasksAnswer>()(paths.task),
  ownCall: get<Nothing, OwnCallAnswer>()(paths.ownCall),
  callTeacher: post<NewCall, OwnCallAnswer>()(paths.ownCall),
  takeCallBack: remove<Nothing, OwnCallAnswer>()(paths.ownCall),
  calls: get<Nothing, CallsAnswer>()(paths.calls),
  answerCall: remove<Nothing, CallsAnswer>()(paths.call),
  benches: get<Nothing, BenchesAnswer>()(paths.benches),
  arrange: post<Arrangement, BenchesAnswer>()(paths.benches),
  board: get<Nothing, BoardAnswer>()(paths.board),
  atHand: get<Nothing, AtHandAnswer>()(paths.atHand),
  student: get<Nothing, StudentAnswer>()(paths.student),
  addStudents: post<NewStudents, SlipsAnswer>()(paths.students),
  changeStudent: post<StudentChange, Done>()(paths.student),
  removeStudent: remove<Nothing, Done>()(paths.student),
  makeSlips: post<Partial<NewSlips>, SlipsAnswer>()(paths.slips),
} as const;
