import { useEffect, useRef, type ReactNode } from 'react';
import { Pressable, ScrollView, StyleSheet, useWindowDimensions, View } from 'react-native';
import { Link, usePathname, type Href } from 'expo-router';
import { openFinder, useProjects } from '@/hooks';
import { titlePage } from '@/platform/page';
import { linksFor, projectIdIn, titleOf, type PlaceLink } from './places';
import { FONTS, Logo, TOUCH, useColors, useIsLow, useIsWide, Text } from '@/ui';

/** The places of the app, and of the project that is open. */
const usePlaces = (): {
  top: PlaceLink[];
  inProject: PlaceLink[];
  projectName: string | null;
} => {
  const path = usePathname();
  const id = projectIdIn(path);
  const project = useProjects()?.records.find((record) => record.project.id === id)?.project;
  const title = titleOf(path, project?.name ?? null);
  useEffect(() => titlePage(title), [title]);
  return {
    top: linksFor('app', '/', path),
    inProject: project ? linksFor('project', `/project/${id}/`, path) : [],
    projectName: project?.name ?? null,
  };
};

/** The navigation around every place: a bar at the foot on a phone, a rail at the left on a wide screen. */
export const Frame = ({ children }: { children: ReactNode }) => {
  const isWide = useIsWide();
  const isLow = useIsLow();
  const { top, inProject, projectName } = usePlaces();
  const colors = useColors();
  const { width } = useWindowDimensions();
  const foot = inProject.length > 0 ? inProject : top;
  return (
    <View style={isWide ? styles.wide : styles.phone}>
      {isWide ? <Rail top={top} inProject={inProject} projectName={projectName} /> : null}
      {/* At one place whatever the width: what is half typed stays as a tablet is turned. */}
      <View style={styles.main} role="main">
        {children}
      </View>
      {isWide ? null : (
        <ScrollView
          horizontal
          style={[styles.foot, isLow && styles.lowFoot, { backgroundColor: colors.bar }]}
          contentContainerStyle={styles.footLinks}
          role="navigation"
          aria-label="Places"
        >
          {foot.map((place) => (
            <FootLink key={place.name} {...place} isLow={isLow} isNarrow={width < foot.length * WORD} />
          ))}
        </ScrollView>
      )}
    </View>
  );
};

/** The places one under the other, those of the open project among them. */
const Rail = ({ top, inProject, projectName }: ReturnType<typeof usePlaces>) => {
  const colors = useColors();
  return (
    <View style={[styles.rail, { backgroundColor: colors.bar }]} role="navigation" aria-label="Places">
      <View style={styles.brand}>
        <Logo size={34} />
        <Text size="title" role="presentation" style={{ color: colors.onBar }}>
          Billet
        </Text>
      </View>
      {top.slice(0, -1).map((place) => (
        <RailLink key={place.name} {...place} />
      ))}
      {projectName ? (
        <View style={styles.railProject}>
          <Text size="small" style={[styles.railName, { color: colors.wood.softwood }]} numberOfLines={2}>
            {projectName}
          </Text>
          {inProject.map((place) => (
            <RailLink key={place.name} {...place} />
          ))}
        </View>
      ) : null}
      <View style={styles.main} />
      <Pressable role="button" aria-label="Find" onPress={openFinder} style={styles.railLink}>
        <View style={styles.railMark} />
        <Text style={{ color: colors.onBar }}>Find</Text>
        <Text size="small" style={{ color: colors.onBar }}>
          Ctrl K
        </Text>
      </Pressable>
      {top.slice(-1).map((place) => (
        <RailLink key={place.name} {...place} />
      ))}
    </View>
  );
};

/** A word in the bar takes so much room, in pixels; with less it is set smaller. */
const WORD = 63;

const FootLink = ({
  name,
  href,
  isHere,
  isLow,
  isNarrow,
}: PlaceLink & { isLow: boolean; isNarrow: boolean }) => {
  const colors = useColors();
  const link = useRef<HTMLElement>(null);
  useEffect(() => {
    if (isHere) link.current?.scrollIntoView({ inline: 'nearest', block: 'nearest' });
  }, [isHere]);
  return (
    <Link
      ref={link as never}
      href={href as Href}
      style={styles.footLink}
      aria-current={isHere ? 'page' : undefined}
    >
      <View style={[styles.strip, { backgroundColor: isHere ? colors.wood.softwood : 'transparent' }]} />
      <Text
        style={[
          styles.footWord,
          isLow && styles.lowWord,
          isNarrow && styles.narrowWord,
          { color: colors.onBar, fontFamily: isHere ? FONTS.bold : FONTS.regular },
        ]}
      >
        {name}
      </Text>
    </Link>
  );
};

const RailLink = ({ name, href, isHere }: PlaceLink) => {
  const colors = useColors();
  return (
    <Link href={href as Href} style={styles.railLink} aria-current={isHere ? 'page' : undefined}>
      <View style={[styles.railMark, { backgroundColor: isHere ? colors.wood.softwood : 'transparent' }]} />
      <Text style={{ color: colors.onBar, fontFamily: isHere ? FONTS.bold : FONTS.regular }}>{name}</Text>
    </Link>
  );
};

const styles = StyleSheet.create({
  phone: { flex: 1 },
  wide: { flex: 1, flexDirection: 'row' },
  main: { flex: 1 },
  foot: { flexGrow: 0, height: 60 },
  // With more room than the words need they share it; with less the bar scrolls.
  footLinks: { minWidth: '100%' },
  lowFoot: { height: TOUCH },
  lowWord: { marginTop: 7 },
  narrowWord: { fontSize: 13 },
  footLink: {
    flexGrow: 1,
    flexBasis: 52,
    flexShrink: 0,
    display: 'flex',
    flexDirection: 'column',
    alignItems: 'center',
    minHeight: TOUCH,
    textDecorationLine: 'none',
  },
  strip: { height: 5, width: 62, maxWidth: '100%' },
  footWord: { marginTop: 14, textAlign: 'center' },
  rail: { width: 208, paddingVertical: 16 },
  brand: { flexDirection: 'row', alignItems: 'center', gap: 10, paddingHorizontal: 16, marginBottom: 20 },
  railProject: { marginTop: 18 },
  railName: { paddingHorizontal: 16, marginBottom: 4 },
  railLink: {
    display: 'flex',
    flexDirection: 'row',
    alignItems: 'center',
    gap: 12,
    minHeight: TOUCH,
    paddingRight: 16,
    textDecorationLine: 'none',
  },
  railMark: { width: 5, height: 28 },
});
