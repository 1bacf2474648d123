'use client';

import {
  closestCenter,
  DndContext,
  KeyboardSensor,
  PointerSensor,
  useSensor,
  useSensors,
  type DragEndEvent,
} from '@dnd-kit/core';
import {
  SortableContext,
  sortableKeyboardCoordinates,
  useSortable,
  verticalListSortingStrategy,
} from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { Refusal } from '@/interface/parts/action-form';
import { useAct } from '@/interface/parts/use-act';
import type { StepState } from '@/model/order/step-state';
import { moveStepAction } from './actions';
import type { OrderPage } from './queries';
import { Station } from './station';
import styles from './order-screen.module.css';

function SortedStep({ one: { step, state } }: { readonly one: StepState }) {
  const { attributes, listeners, setNodeRef, setActivatorNodeRef, transform, transition, isDragging } = useSortable({
    id: step.id,
  });
  return (
    <li
      ref={setNodeRef}
      className={styles.sorted}
      data-dragging={isDragging || undefined}
      style={{ transform: CSS.Transform.toString(transform), transition }}
    >
      <button
        type="button"
        ref={setActivatorNodeRef}
        className={styles.grip}
        {...attributes}
        {...listeners}
        aria-label={`Move ${step.name}`}
      >
        ⋮⋮
      </button>
      <Station state={state} />
      <span>
        {step.name}
        {step.branch && <span className="soft"> ({step.branch})</span>}
      </span>
    </li>
  );
}

/** All steps in their order; one is dragged, or moved with the arrow keys, and waits for the one that it is put behind. */
export function SortList({ page }: { readonly page: OrderPage }) {
  const { act, pending, problem } = useAct();
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 6 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  const ids = page.steps.map(({ step }) => step.id);
  const put = ({ active, over }: DragEndEvent) => {
    const [from, to] = [ids.indexOf(String(active.id)), ids.indexOf(String(over?.id ?? active.id))];
    const moved = page.steps[from]?.step;
    if (!moved || to < 0 || from === to || pending) return;
    // Let go on a step below, it goes behind that one; on one above, behind the one before that.
    const behind = ids[from < to ? to : to - 1] ?? null;
    act(() => moveStepAction({ stepId: moved.id, version: moved.version, behind }));
  };
  return (
    <>
      <Refusal problem={problem} />
      <DndContext id="order-sort" sensors={sensors} collisionDetection={closestCenter} onDragEnd={put}>
        <SortableContext items={ids} strategy={verticalListSortingStrategy}>
          <ol className={styles.sortList}>
            {page.steps.map((one) => (
              <SortedStep key={one.step.id} one={one} />
            ))}
          </ol>
        </SortableContext>
      </DndContext>
    </>
  );
}
