import {
  type Announcements,
  closestCenter,
  DndContext,
  type DragEndEvent,
  KeyboardSensor,
  PointerSensor,
  useSensor,
  useSensors,
} from '@dnd-kit/core';
import {
  SortableContext,
  sortableKeyboardCoordinates,
  useSortable,
  verticalListSortingStrategy,
} from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { GripVertical } from 'lucide-react';
import { createContext, type ReactNode, useContext, useMemo } from 'react';
import { say } from '../../text/en/say/ui';

type Handle = Pick<ReturnType<typeof useSortable>, 'attributes' | 'listeners' | 'setActivatorNodeRef'>;
const HandleContext = createContext<Handle | null>(null);

const placeOf = (id: string | number | undefined) => Number(id) + 1;

/** A list whose rows are put in order by dragging, or with the keyboard: space, arrows, space. */
export function Sortable({
  count,
  onMove,
  children,
}: {
  /** Rows of the list; each is a `SortableRow` of its index */
  count: number;
  onMove: (from: number, to: number) => void;
  children: ReactNode;
}) {
  const sensors = useSensors(
    // A click on the handle is no dragging.
    useSensor(PointerSensor, { activationConstraint: { distance: 4 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  // Rows have no ids of their own: their place is what they are.
  const ids = useMemo(() => Array.from({ length: count }, (_, i) => String(i)), [count]);
  const announcements: Announcements = {
    onDragStart: ({ active }) => say.rowLifted(placeOf(active.id), count),
    onDragOver: ({ over }) => (over ? say.rowOver(placeOf(over.id), count) : undefined),
    onDragEnd: ({ over }) => (over ? say.rowPut(placeOf(over.id), count) : say.rowLeft),
    onDragCancel: () => say.rowLeft,
  };
  const end = ({ active, over }: DragEndEvent) => {
    if (over && over.id !== active.id) onMove(Number(active.id), Number(over.id));
  };
  return (
    <DndContext
      sensors={sensors}
      collisionDetection={closestCenter}
      accessibility={{ announcements, screenReaderInstructions: { draggable: say.rowHowTo } }}
      onDragEnd={end}
    >
      <SortableContext items={ids} strategy={verticalListSortingStrategy}>
        {children}
      </SortableContext>
    </DndContext>
  );
}

/** One row of a list that is put in order. */
export function SortableRow({
  index,
  as: Tag,
  className = '',
  children,
  ...rest
}: {
  index: number;
  as: 'tr' | 'section';
  className?: string;
  children: ReactNode;
  'aria-label'?: string;
  onFocus?: () => void;
}) {
  const { setNodeRef, transform, transition, isDragging, ...handle } = useSortable({ id: String(index) });
  return (
    <HandleContext value={handle}>
      <Tag
        ref={setNodeRef}
        className={`${className} ${isDragging ? 'relative z-10 bg-panel shadow-lg' : ''}`}
        style={{ transform: CSS.Translate.toString(transform), transition }}
        {...rest}
      >
        {children}
      </Tag>
    </HandleContext>
  );
}

/** What a row is taken by. */
export function DragHandle({ name }: { name: string }) {
  const handle = useContext(HandleContext);
  if (!handle) return null;
  return (
    <button
      type="button"
      ref={handle.setActivatorNodeRef}
      className="grid h-[28px] w-[24px] cursor-grab touch-none place-items-center rounded text-dim hover:bg-sunk active:cursor-grabbing"
      {...handle.attributes}
      {...handle.listeners}
      aria-label={`Drag ${name}`}
    >
      <GripVertical size={14} aria-hidden="true" />
    </button>
  );
}
