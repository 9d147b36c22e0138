import { useState, type ReactNode } from 'react';
import { explainTotal } from '@/core/budget';
import type { Book } from '@/core/project';
import { Explained } from '@/forms';
import { Figure } from '@/ui';
import type { Column } from './columns';

/** What a way comes to in all; a touch opens where that comes from. */
export const TotalOf = ({
  column: { name, made, plan },
  book,
  align = 'left',
  children,
}: {
  column: Column;
  book: Book;
  align?: 'left' | 'right';
  children: ReactNode;
}) => {
  const [isOpen, setOpen] = useState(false);
  return (
    <>
      <Figure label={`${name}: where its sum comes from`} onPress={() => setOpen(true)} align={align}>
        {children}
      </Figure>
      {isOpen ? (
        <Explained
          title={name}
          explanations={[explainTotal(made, book, plan)]}
          currency={made.currency}
          onClose={() => setOpen(false)}
        />
      ) : null}
    </>
  );
};
