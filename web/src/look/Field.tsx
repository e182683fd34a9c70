import { Description, Field as HeadlessField, Label } from '@headlessui/react';
import type { ReactNode } from 'react';

/** An entry with its name above and what is wrong with it below. */
export function Field({ name, problem, hint, children }: { name: string; problem?: string | undefined; hint?: string; children: ReactNode }) {
  return (
    <HeadlessField className="flex flex-col gap-1">
      <Label className="text-sm font-semibold">{name}</Label>
      {children}
      {hint && !problem && <Description className="text-sm text-pencil">{hint}</Description>}
      {problem && (
        <Description role="alert" className="text-sm font-semibold text-brick">
          {problem}
        </Description>
      )}
    </HeadlessField>
  );
}
