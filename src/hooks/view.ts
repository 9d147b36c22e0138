import { useLocalSearchParams, usePathname, useRouter } from 'expo-router';
import { useState } from 'react';
import { keepInAddress, saidInAddress } from '@/platform/page';

/**
 * The tab of a place that is shown, and how to show another. It stands in the address as `view`, so that it is there again after a
 * reload, a step back, or where a link leads to it; the usual one stands there as none.
 */
export const useView = <T extends string>(
  views: readonly { value: T }[],
  usual: T,
): [shown: T, show: (view: T) => void] => {
  const path = usePathname();
  const { view: linked } = useLocalSearchParams<{ view?: string }>();
  const [shown, setShown] = useState<T>(() => {
    // A link is followed before the address says where to.
    const asked = saidInAddress(path, 'view') ?? linked;
    return views.find(({ value }) => value === asked)?.value ?? usual;
  });
  const show = (view: T): void => {
    setShown(view);
    keepInAddress('view', view === usual ? null : view);
  };
  return [shown, show];
};

/**
 * What is open beside a list, as `kind:id` in the address as `open`: there again after a reload, and where a link leads to it. Blank:
 * nothing.
 */
export const useOpened = (): [opened: string, open: (opened: string) => void] => {
  const path = usePathname();
  const { open: opened = '' } = useLocalSearchParams<{ open?: string }>();
  const { setParams } = useRouter();
  // The tab stands in the address alone, and stays there.
  const view = () => saidInAddress(path, 'view') || undefined;
  return [opened, (next) => setParams({ open: next === '' ? undefined : next, view: view() })];
};
