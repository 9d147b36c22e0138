/** @jest-environment jsdom */
import { fireEvent, render, screen } from '@testing-library/react';
import { useState, type ReactNode } from 'react';
import { PaperProvider } from 'react-native-paper';
import { parseCount } from '@/core/units';
import type { Measure } from '@/core/project';
import { Choice, lightTheme, LayoutDrawing, LengthField, MoneyStrip, paperIcon, ReadField } from '.';

const Themed = ({ children }: { children: ReactNode }) => (
  <PaperProvider theme={lightTheme} settings={{ icon: paperIcon }}>
    {children}
  </PaperProvider>
);
const type = (label: string, text: string) =>
  fireEvent.change(screen.getByLabelText(label), { target: { value: text } });
const shown = (label: string) => (screen.getByLabelText(label) as HTMLInputElement).value;

test('a length is read back in the unit of the project; what cannot be read stays, with the reason', () => {
  const taken: (Measure | null)[] = [];
  const Form = () => {
    const [value, setValue] = useState<Measure | null>(null);
    return (
      <LengthField
        label="Length"
        value={value}
        unit="in"
        onChange={(next) => {
          taken.push(next);
          setValue(next);
        }}
      />
    );
  };
  render(<Form />, { wrapper: Themed });
  type('Length', '5ft 3 1/4in');
  expect(taken.at(-1)?.ticks).toBe(63.25 * 8128);
  screen.getByText('63 1/4"');
  type('Length', '29 1/x');
  expect(shown('Length')).toBe('29 1/x');
  expect(taken).toHaveLength(1);
  screen.getByText(/"29 1\/x" is not a length/);
  type('Length', '0');
  screen.getByText('It must be more than nothing.');
});

test('a value that changes from elsewhere takes the place of what was typed; the same value leaves the typing alone', () => {
  const { rerender } = render(<ReadField label="How many" text="4" read={parseCount} onRead={() => {}} />, {
    wrapper: Themed,
  });
  type('How many', '07');
  rerender(<ReadField label="How many" text="7" read={parseCount} onRead={() => {}} />);
  expect(shown('How many')).toBe('07');
  rerender(<ReadField label="How many" text="9" read={parseCount} onRead={() => {}} />);
  expect(shown('How many')).toBe('9');
});

test('arrow keys move the choice and the focus', () => {
  const Form = () => {
    const [value, setValue] = useState<'a' | 'b' | 'c'>('a');
    return (
      <Choice
        label="Pick"
        value={value}
        options={[
          { value: 'a', label: 'A' },
          { value: 'b', label: 'B' },
          { value: 'c', label: 'C' },
        ]}
        onChange={setValue}
      />
    );
  };
  render(<Form />, { wrapper: Themed });
  fireEvent.keyDown(screen.getByRole('radio', { name: 'A' }), { key: 'ArrowLeft' });
  expect(screen.getByRole('radio', { name: 'C' }).getAttribute('aria-checked')).toBe('true');
  expect(document.activeElement).toBe(screen.getByRole('radio', { name: 'C' }));
});

const format = (sum: number) => `$${sum}`;

test('the money strip says what is left, and over target by word', () => {
  const { rerender } = render(<MoneyStrip spent={60} toBuy={120} target={240} format={format} />, {
    wrapper: Themed,
  });
  screen.getByText('$60 left of $240');
  screen.getByRole('img', { name: '$60 spent, $120 to buy, $60 left of the target' });
  rerender(<MoneyStrip spent={60} toBuy={120} reserve={70} target={240} format={format} />);
  expect(screen.getByRole('img', { name: /held back, .*over target/ })).toBeTruthy();
  rerender(<MoneyStrip spent={60} toBuy={200} target={240} format={format} />);
  screen.getByText('$20 over target $240');
  rerender(<MoneyStrip spent={0} toBuy={200} target={null} format={format} isIncomplete />);
  screen.getByText('no target');
  screen.getByText('$200 to buy, so far');
});

test('a board is drawn to scale, and a piece is named on it where there is room', () => {
  const pieces = [
    {
      key: '0',
      outline: [
        [0, 0],
        [40, 0],
        [40, 4],
        [0, 4],
      ] as [number, number][],
      name: 'Post',
      size: '40"',
    },
    {
      key: '1',
      outline: [
        [41, 0],
        [44, 0],
        [44, 4],
        [41, 4],
      ] as [number, number][],
      name: 'Little block',
      size: '3"',
    },
  ];
  const { container } = render(
    <LayoutDrawing
      kind="board"
      length={96}
      width={4}
      longest={96}
      color="#fff"
      pieces={pieces}
      offcuts={[]}
      label="a board"
    />,
    { wrapper: Themed },
  );
  const [post, block] = [...container.querySelectorAll('polygon')].map((polygon) =>
    polygon
      .getAttribute('points')
      ?.split(' ')
      .map((point) => Number(point.split(',')[0])),
  );
  const length = (points: number[] | undefined) => Math.max(...(points ?? [])) - Math.min(...(points ?? []));
  expect(length(post) / length(block)).toBeCloseTo(40 / 3, 6);
  screen.getByText('Post 40"');
  expect(screen.queryByText(/Little block/)).toBeNull();
});

test('enlarged, a drawing scrolls, its kerfs are wider, and a touch on a piece tells which', () => {
  const pieces = [
    {
      key: '0',
      outline: [
        [0, 0],
        [40, 0],
        [40, 4],
        [0, 4],
      ] as [number, number][],
      name: 'Post',
      size: '40"',
    },
    {
      key: '1',
      outline: [
        [40.125, 0],
        [80, 0],
        [80, 2],
        [40.125, 2],
      ] as [number, number][],
      name: 'Strip',
      size: '40" x 2"',
      isChosen: true,
    },
  ];
  const touched: string[] = [];
  const drawn = (zoom: number) => (
    <LayoutDrawing
      kind="board"
      length={96}
      width={4}
      longest={96}
      zoom={zoom}
      color="#fff"
      pieces={pieces}
      offcuts={[]}
      onPiece={(key) => touched.push(key)}
      label="a board"
    />
  );
  const { container, rerender } = render(drawn(1), { wrapper: Themed });
  const kerf = (): number => {
    const [left, right] = [...container.querySelectorAll('polygon')].map(
      (polygon) =>
        polygon
          .getAttribute('points')
          ?.split(' ')
          .map((point) => Number(point.split(',')[0])) ?? [],
    );
    return Math.min(...(right ?? [])) - Math.max(...(left ?? []));
  };
  const before = kerf();
  expect(screen.queryByRole('group', { name: 'a board, enlarged' })).toBeNull();
  rerender(drawn(8));
  screen.getByRole('group', { name: 'a board, enlarged' });
  expect(kerf() / before).toBeCloseTo(8, 1);
  fireEvent.click(screen.getByTestId('piece-1'));
  expect(touched).toEqual(['1']);
});
