import { withoutLeftOut, type Comparison, type Conventions } from '@green-beam/core';
import clsx from 'clsx';
import { useMemo, type ReactNode } from 'react';
import { Link } from 'react-router';
import { Button } from '../ui/Button';
import { useProjector } from '../ui/useProjector';
import { Comparing } from './Comparing';
import { GroupChoice, useGroupChoice } from './GroupChoice';
import { KeepIt } from './KeepIt';
import { LeaveOut, useLeftOut } from './LeaveOut';
import { PutTogether } from './together/PutTogether';

/** A page of staff on which groups are compared: which of them, without what was left out, on the projector if wanted, kept under a name. */
export function Whole({
  title,
  aside,
  back,
  name,
  place,
  comparison,
  conventions,
  causes = [],
  classId,
  choice,
  wanted,
  children,
}: {
  readonly title: string;
  readonly aside: string;
  readonly back: { readonly to: string; readonly name: string };
  /** Of what is compared. */
  readonly name: string;
  /** Under which what is left out is remembered. */
  readonly place: string;
  readonly comparison: Comparison;
  readonly conventions: Conventions;
  readonly causes?: readonly string[] | undefined;
  /** The class with which it can be kept, if with any. */
  readonly classId?: string;
  /** What is compared, to be chosen. */
  readonly choice: ReactNode;
  readonly wanted?: boolean;
  readonly children?: ReactNode;
}) {
  const [projector, project] = useProjector();
  const groups = useGroupChoice(comparison);
  const { leftOut, set } = useLeftOut(place);
  const own = useMemo(() => withoutLeftOut(groups.chosen, leftOut), [groups.chosen, leftOut]);
  return (
    <main
      id="main"
      className={clsx(
        projector
          ? 'projector fixed inset-0 z-40 overflow-y-auto bg-page px-10 py-6'
          : 'mx-auto max-w-[1240px] px-4 py-6 sm:px-7',
      )}
    >
      <title>{`${title} · Green Beam`}</title>
      <div className="mb-5 flex flex-wrap items-baseline gap-x-5 gap-y-1">
        <h1>{title}</h1>
        <p className="mr-auto text-soft">{aside}</p>
        <Button aria-pressed={projector} className="no-print on-projector" onClick={project}>
          {projector ? 'Leave the projector' : 'Projector'}
        </Button>
      </div>
      <p className="no-print mb-4 flex flex-wrap gap-x-6">
        <Link to={back.to} className="underline underline-offset-4">
          {back.name}
        </Link>
        <Link to="/compare/try" className="underline underline-offset-4">
          Try it with pretended vessels
        </Link>
        <button type="button" className="underline underline-offset-4" onClick={() => print()}>
          Print this page
        </button>
      </p>
      {choice}
      <Comparing
        name={name}
        comparison={own}
        conventions={conventions}
        causes={causes}
        enlarged={projector}
        {...(wanted === undefined ? {} : { wanted })}
      />
      <div className="no-print mt-6 flex flex-col">
        <GroupChoice comparison={comparison} {...groups} />
        <LeaveOut comparison={groups.chosen} leftOut={leftOut} set={set} />
        <PutTogether comparison={groups.chosen} leftOut={leftOut} classId={classId} />
        {classId && <KeepIt classId={classId} suggested={title} leftOut={leftOut} />}
      </div>
      {!projector && children}
    </main>
  );
}
