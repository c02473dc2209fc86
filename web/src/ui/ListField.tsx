import {
  closestCenter,
  DndContext,
  KeyboardSensor,
  PointerSensor,
  useSensor,
  useSensors,
} from '@dnd-kit/core';
import {
  arrayMove,
  SortableContext,
  sortableKeyboardCoordinates,
  useSortable,
  verticalListSortingStrategy,
} from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { GripVertical } from 'lucide-react';
import type { ReactNode } from 'react';
import { Button } from './Button';

/** A list whose items can be added, copied, ordered by dragging or by keys, and taken away. */
export function ListField<T>({
  title,
  one,
  items,
  blank,
  copied,
  onChange,
  children,
}: {
  readonly title: string;
  /** What one item is called, for the buttons. */
  readonly one: string;
  readonly items: readonly T[];
  readonly blank: T;
  /** A copy of an item, with names of its own; it is not copied where none is said. */
  readonly copied?: (item: T, among: readonly T[]) => T;
  readonly onChange: (items: readonly T[]) => void;
  readonly children: (
    item: T,
    change: (part: Partial<T>) => void,
    replace: (item: T) => void,
    at: number,
  ) => ReactNode;
}) {
  const put = (at: number, item: T) => onChange(items.map((own, nth) => (nth === at ? item : own)));
  const move = (at: number, to: number) => onChange(arrayMove([...items], at, to));
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 4 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  const ids = items.map((_, at) => `${title} ${at}`);
  return (
    <section aria-label={title}>
      <h2 className="mb-2">{title}</h2>
      <DndContext
        sensors={sensors}
        collisionDetection={closestCenter}
        onDragEnd={({ active, over }) => {
          const [at, to] = [active.id, over?.id ?? ''].map((id) => ids.indexOf(String(id)));
          if (at !== undefined && to !== undefined && at >= 0 && to >= 0 && at !== to) move(at, to);
        }}
      >
        <SortableContext items={ids} strategy={verticalListSortingStrategy}>
          <ol className="flex flex-col divide-y divide-rule border-y border-rule">
            {items.map((item, at) => (
              <Item key={at} id={ids[at] ?? ''} name={`${one} ${at + 1}`}>
                {children(
                  item,
                  (part) => put(at, { ...item, ...part }),
                  (whole) => put(at, whole),
                  at,
                )}
                <div className="mt-1 flex gap-3 text-sm">
                  <Button
                    look="quiet"
                    className="text-sm"
                    disabled={at === 0}
                    onClick={() => move(at, at - 1)}
                  >
                    Up
                  </Button>
                  <Button
                    look="quiet"
                    className="text-sm"
                    disabled={at === items.length - 1}
                    onClick={() => move(at, at + 1)}
                  >
                    Down
                  </Button>
                  {copied && (
                    <Button
                      look="quiet"
                      className="text-sm"
                      aria-label={`Copy ${one} ${at + 1}`}
                      onClick={() =>
                        onChange([...items.slice(0, at + 1), copied(item, items), ...items.slice(at + 1)])
                      }
                    >
                      Copy
                    </Button>
                  )}
                  <Button
                    look="quiet"
                    className="text-sm"
                    aria-label={`Take away ${one} ${at + 1}`}
                    onClick={() => onChange(items.filter((_, nth) => nth !== at))}
                  >
                    Take away
                  </Button>
                </div>
              </Item>
            ))}
          </ol>
        </SortableContext>
      </DndContext>
      <Button look="quiet" className="mt-2" onClick={() => onChange([...items, blank])}>
        Add {/^[aeiou]/.test(one) ? 'an' : 'a'} {one}
      </Button>
    </section>
  );
}

function Item({
  id,
  name,
  children,
}: {
  readonly id: string;
  readonly name: string;
  readonly children: ReactNode;
}) {
  const { attributes, listeners, setNodeRef, setActivatorNodeRef, transform, transition, isDragging } =
    useSortable({
      id,
      attributes: { roleDescription: 'sortable' },
    });
  return (
    <li
      ref={setNodeRef}
      style={{ transform: CSS.Translate.toString(transform), transition }}
      className={`relative py-3 pl-8 ${isDragging ? 'z-20 bg-white opacity-90' : ''}`}
    >
      <button
        type="button"
        ref={setActivatorNodeRef}
        {...attributes}
        {...listeners}
        aria-label={`Move ${name}`}
        className="absolute top-3 left-0 cursor-grab touch-none rounded-sm p-1 text-soft hover:text-ink"
      >
        <GripVertical aria-hidden="true" className="size-5" />
      </button>
      {children}
    </li>
  );
}
