import { useEffect, useState } from 'react';
import { usePathname, useRouter, type Href } from 'expo-router';
import { onOpenFinder } from '@/hooks';
import { isInText, isOnControl, onKeyDown } from '@/platform/page';
import { lazyScreen } from '@/ui';
import { linksFor, projectIdIn } from './places';

const FindBox = lazyScreen(async () => (await import('./FindBox')).FindBox);
const KeyList = lazyScreen(async () => (await import('./KeyList')).KeyList);

/** Hears of the keys that work everywhere, and shows what they open. */
export const Finding = () => {
  const path = usePathname();
  const router = useRouter();
  const [open, setOpen] = useState<'find' | 'keys' | null>(null);
  const [typed, setTyped] = useState('');
  useEffect(
    () =>
      onOpenFinder(() => {
        setTyped('');
        setOpen('find');
      }),
    [],
  );
  useEffect(() => {
    return onKeyDown((event) => {
      if ((event.ctrlKey || event.metaKey) && !event.altKey && event.key.toLowerCase() === 'k') {
        event.preventDefault();
        setTyped('');
        return setOpen('find');
      }
      if (event.ctrlKey || event.metaKey || event.altKey) return;
      // What is typed before its field is there is not lost.
      if (open === 'find' && !isInText(event) && event.key.length === 1) {
        event.preventDefault();
        return setTyped((before) => before + event.key);
      }
      if (isOnControl(event)) return;
      if (event.key === '?') return setOpen('keys');
      const id = projectIdIn(path);
      const place =
        id === null ? undefined : linksFor('project', `/project/${id}/`, path)[Number(event.key) - 1];
      if (place && open === null) router.navigate(place.href as Href);
    });
  }, [path, router, open]);
  const close = () => setOpen(null);
  if (open === 'find')
    return <FindBox projectId={projectIdIn(path)} typed={typed} onType={setTyped} onClose={close} />;
  return open === 'keys' ? <KeyList onClose={close} /> : null;
};
