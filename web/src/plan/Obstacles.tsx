import type { PlanView } from '../api/client';

/** What stands in the way of a wish. */
export function Obstacles({ obstacles }: { obstacles: PlanView['obstacles'] }) {
  return (
    <>
      {obstacles.map((obstacle) => (
        <p
          key={obstacle.kind}
          role="status"
          className={`border-l-4 p-3 ${obstacle.prevents ? 'border-brick bg-brick-wash text-brick' : 'border-ochre bg-ochre-wash text-ochre'}`}
        >
          {obstacle.message}
        </p>
      ))}
    </>
  );
}
