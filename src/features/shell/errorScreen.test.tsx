/** @jest-environment jsdom */
import { fireEvent, render, screen } from '@testing-library/react';
import { PaperProvider } from 'react-native-paper';
import { lightTheme, paperIcon } from '@/ui';
import { ErrorScreen } from './ErrorScreen';

let isBroken = true;
const Place = () => {
  if (isBroken) throw new Error('the board of Ann is 3 short');
  return <span>All boards</span>;
};

test('what breaks while it is drawn is told in a sentence, without what was typed, and tried again', () => {
  const told = jest.spyOn(console, 'error').mockImplementation(() => undefined);
  render(
    <PaperProvider theme={lightTheme} settings={{ icon: paperIcon }}>
      <ErrorScreen where="This place">
        <Place />
      </ErrorScreen>
    </PaperProvider>,
  );
  expect(screen.getByRole('alert').textContent).toMatch(/This place cannot be shown/);
  expect(screen.getByRole('alert').textContent).not.toMatch(/Ann/);
  expect(screen.getByText('Save everything to a file')).toBeTruthy();
  isBroken = false;
  fireEvent.click(screen.getByText('Try again'));
  expect(screen.getByText('All boards')).toBeTruthy();
  told.mockRestore();
});
