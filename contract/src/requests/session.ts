import { boolean, object, type InferType } from 'yup';
import { needed } from './fields';

/** True on a device of one's own: the session then outlives the browser. */
const ownDevice = boolean().strict().default(false);

export const teacherSignIn = object({
  name: needed('name or address', 120),
  password: needed('password', 200),
  ownDevice,
}).noUnknown();

export const studentSignIn = object({
  classCode: needed('class code', 20),
  name: needed('name', 60),
  passphrase: needed('passphrase', 100),
  ownDevice,
}).noUnknown();

export const shortestPassword = 10;

export const newPassword = object({
  current: needed('password that you have now', 200),
  next: needed('new password', 200).min(
    shortestPassword,
    `A password has at least ${shortestPassword} characters.`,
  ),
}).noUnknown();

export type TeacherSignIn = InferType<typeof teacherSignIn>;
export type NewPassword = InferType<typeof newPassword>;
export type StudentSignIn = InferType<typeof studentSignIn>;
