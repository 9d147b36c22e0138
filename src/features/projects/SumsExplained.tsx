import { explainLeft, explainTotal } from '@/core/budget';
import type { PlanSnapshot } from '@/hooks';
import { Explained } from '@/forms';

/** Where the sums of the money strip come from. */
export const SumsExplained = ({
  snapshot: { project, book, plan },
  onClose,
}: {
  snapshot: PlanSnapshot;
  onClose: () => void;
}) => {
  const left = explainLeft(project, book, plan);
  return (
    <Explained
      title="Where it comes from"
      explanations={[explainTotal(project, book, plan), ...(left ? [left] : [])]}
      currency={project.currency}
      onClose={onClose}
    />
  );
};
