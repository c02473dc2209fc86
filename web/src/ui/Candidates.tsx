import { floatsIn, identify, materials, perOneSentence, type Candidate, type Floats } from '@green-beam/core';
import { CandidateBands } from '@green-beam/drawing';
import { useMaterials } from '../answers/materials';

/** What a density may be, drawn and told; what it does in liquids. All in g/cm³. */
export function Candidates({
  density,
  u,
  expanded,
  value,
  unit,
}: {
  readonly density: number;
  /** What one uncertainty is, for how far off a material lies. */
  readonly u: number;
  /** What floats or sinks for certain. */
  readonly expanded: number;
  /** As it is written, in its own unit. */
  readonly value: string;
  readonly unit: string;
}) {
  const { ties, others, toPart } = identify(density, u, useMaterials());
  const shown = [...ties, ...others];
  const sentence = perOneSentence(value, unit);
  return (
    <div className="max-w-2xl">
      {sentence && <p className="mb-2">That is {sentence}.</p>}
      <CandidateBands density={density} uncertainty={u} candidates={shown} />
      <p className="mt-2">
        {ties.length === 0
          ? 'It fits no material of the table: look at the readings again, or it is none of these.'
          : ties.length === 1
            ? `It fits ${nameOf(ties[0])} alone.`
            : `It fits ${listed(ties)} alike: by its density alone nobody can tell which.`}{' '}
        {toPart}
      </p>
      <p className="mt-2">
        {(['water', 'saturated brine', 'lamp oil'] as const).map((name) => (
          <span key={name}>{inLiquid(name, density, expanded)} </span>
        ))}
      </p>
    </div>
  );
}

const nameOf = (candidate: Candidate | undefined): string => candidate?.material.name ?? '';

const listed = (ties: readonly Candidate[]): string =>
  `${ties.slice(0, -1).map(nameOf).join(', ')} and ${nameOf(ties.at(-1))}`;

const verbs: Readonly<Record<Floats, string>> = {
  floats: 'It floats in',
  sinks: 'It sinks in',
  'cannot tell': 'Whether it floats these readings cannot tell: in',
};

function inLiquid(name: string, density: number, expanded: number): string {
  const liquid = materials.find((own) => own.name === name);
  return liquid ? `${verbs[floatsIn(density, expanded, (liquid.low + liquid.high) / 2)]} ${name}.` : '';
}
