import type { PlanView } from '../api/client';
import { obstacleWords } from './planWords';

/** What stands in the way, worst first. */
export function Obstacles({ plan, today }: { plan: PlanView; today: string }) {
  return (
    <>
      {plan.obstacles.map((obstacle) => (
        <p
          key={obstacle.kind}
          role="status"
          className={`border-l-4 p-3 ${prevents(obstacle, plan) ? 'border-brick bg-brick-wash text-brick' : 'border-ochre bg-ochre-wash text-ochre'}`}
        >
          {obstacleWords(obstacle, plan, today)}
        </p>
      ))}
    </>
  );
}

/** What prevents is among the reasons of the no. */
function prevents(obstacle: PlanView['obstacles'][number], plan: PlanView): boolean {
  return !plan.promise.possible && plan.promise.reasons.some((reason) => reason.kind === 'InTheWay' && reason.obstacle.kind === obstacle.kind);
}
