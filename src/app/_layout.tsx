import { Slot } from 'expo-router';
import { ErrorScreen } from '@/features/shell/ErrorScreen';
import { Root } from '@/features/shell/Root';

export default function Layout() {
  return (
    <Root>
      <ErrorScreen where="Billet">
        <Slot />
      </ErrorScreen>
    </Root>
  );
}
