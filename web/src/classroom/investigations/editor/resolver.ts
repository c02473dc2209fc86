import { toNestErrors } from '@hookform/resolvers';
import { yupResolver } from '@hookform/resolvers/yup';
import { investigationFile } from '@green-beam/contract';
import { checkInvestigation, type Investigation } from '@green-beam/core';
import type { FieldErrors, Resolver } from 'react-hook-form';

const shape = yupResolver(investigationFile as never) as unknown as Resolver<Investigation>;

/** What is amiss with an investigation, each at its field: its shape first, then whether it makes sense. */
export const resolver: Resolver<Investigation> = async (values, context, options) => {
  const read = await shape(values, context, options);
  const problems = Object.keys(read.errors).length > 0 ? [] : checkInvestigation(values);
  if (problems.length === 0) return read;
  // The first at a place is told there.
  const flat = [...problems]
    .reverse()
    .map(({ place, sentence }) => [place, { type: 'sense', message: sentence }]);
  const errors = toNestErrors(Object.fromEntries(flat) as FieldErrors, options as never);
  return { values: {}, errors: errors as FieldErrors<Investigation> };
};
