import { useWho } from '../session/who';
import { StudentToday } from './StudentToday';
import { TeacherToday } from './TeacherToday';

/** The first screen: what to do now. */
export function Today() {
  return useWho().role === 'teacher' ? <TeacherToday /> : <StudentToday />;
}
