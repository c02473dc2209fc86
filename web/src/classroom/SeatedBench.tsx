import {
  DndContext,
  KeyboardSensor,
  pointerWithin,
  PointerSensor,
  rectIntersection,
  type CollisionDetection,
  useDraggable,
  useDroppable,
  useSensor,
  useSensors,
} from '@dnd-kit/core';
import clsx from 'clsx';
import { GripVertical } from 'lucide-react';
import { useState, type ReactNode } from 'react';
import { TextField } from '../ui/fields';
import type { SeatedStudent, Seats } from './seats';

/** The bench under the pointer; by keys, the one that what is dragged covers most of. */
const underThePointer: CollisionDetection = (dragged) => {
  const within = pointerWithin(dragged);
  return within.length > 0 ? within : rectIntersection(dragged);
};

/** Within it students are dragged from bench to bench. */
export function Dragged({
  onMove,
  children,
}: {
  readonly onMove: (student: string, bench: string) => void;
  readonly children: ReactNode;
}) {
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 4 } }),
    useSensor(KeyboardSensor),
  );
  return (
    <DndContext
      sensors={sensors}
      collisionDetection={underThePointer}
      onDragEnd={({ active, over }) =>
        over && onMove(String(active.id), String(over.id).replace(/^bench /, ''))
      }
    >
      {children}
    </DndContext>
  );
}

/** A bench that students can be dropped at. */
export function SeatedBench({
  id,
  name,
  foot,
  children,
}: {
  readonly id: string;
  readonly name: ReactNode;
  readonly foot: ReactNode;
  readonly children: readonly ReactNode[];
}) {
  const { setNodeRef, isOver } = useDroppable({ id: `bench ${id}` });
  return (
    <section
      ref={setNodeRef}
      className={clsx('min-h-32 border bg-white p-3', isOver ? 'border-beam' : 'border-rule')}
    >
      {name}
      <ul className="my-2 flex flex-col gap-1">{children}</ul>
      {foot}
    </section>
  );
}

/** The name of a bench; it is renamed when the field is left. */
export function BenchName({
  name,
  onRename,
}: {
  readonly name: string;
  readonly onRename: (name: string) => void;
}) {
  const [text, setText] = useState(name);
  return (
    <div onBlur={() => (text.trim() === '' ? setText(name) : text.trim() !== name && onRename(text.trim()))}>
      <TextField label="Bench" longest={40} value={text} onChange={setText} />
    </div>
  );
}

/** A student at a bench: dragged, or moved by the choice at the name. */
export function Seat({
  student,
  bench,
  benches,
  onMove,
}: {
  readonly student: SeatedStudent;
  readonly bench: string;
  readonly benches: Seats['benches'];
  readonly onMove: (student: string, bench: string) => void;
}) {
  const { attributes, listeners, setNodeRef, transform } = useDraggable({ id: student.id });
  return (
    <li
      ref={setNodeRef}
      style={transform ? { transform: `translate(${transform.x}px, ${transform.y}px)` } : undefined}
      className="flex items-center gap-1"
    >
      <button
        type="button"
        {...attributes}
        {...listeners}
        aria-label={`Drag ${student.name}`}
        className="cursor-grab touch-none p-1"
      >
        <GripVertical aria-hidden="true" className="size-4" />
      </button>
      <span className="flex-1">
        {student.name}
        {student.absent && <span className="text-sm text-soft"> absent</span>}
      </span>
      <select
        aria-label={`Bench of ${student.name}`}
        value={bench}
        onChange={(event) => onMove(student.id, event.target.value)}
        className="max-w-28 rounded-sm border border-edge bg-white py-1 text-sm"
      >
        <option value="">no bench</option>
        {benches.map(({ id, name }) => (
          <option key={id} value={id}>
            {name}
          </option>
        ))}
      </select>
    </li>
  );
}
