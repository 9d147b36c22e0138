import type { ReactNode } from 'react';
import { Button } from '@/ui';

/** The foot of a form whose fields take effect as they are typed: delete at the left, done at the right. */
export const EditFoot = ({
  remove = 'Delete',
  onRemove,
  onDone,
  children,
}: {
  remove?: string;
  onRemove: () => void;
  onDone: () => void;
  children?: ReactNode;
}) => (
  <>
    <Button icon="delete" onPress={onRemove}>
      {remove}
    </Button>
    {children}
    <Button mode="contained" onPress={onDone}>
      Done
    </Button>
  </>
);
