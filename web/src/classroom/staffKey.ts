/** Under which who teaches a class is kept. */
export const staffKey = (classId: string) => ['staff', classId] as const;
