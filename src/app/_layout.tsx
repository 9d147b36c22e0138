import { Slot } from 'expo-router';
import { ErrorScreen } from '@/features/shell/ErrorScreen';
import { Opened } from '@/features/shell/Opened';
import { Root } from '@/features/shell/Root';

/** The frame around every place. */
export default function Layout() {
  return (
    <Root>
      <ErrorScreen where="Billet">
        <Opened>
          <Slot />
        </Opened>
      </ErrorScreen>
    </Root>
  );
}
