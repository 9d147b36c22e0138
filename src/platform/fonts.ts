import { Asset } from 'expo-asset';

/**
 * Has the page draw with these fonts, by family: modules of files that ship with the app. Until one is there its words stand in the
 * browser's own. Through the page's list of fonts, so that no style stands in the page that its policy would have to allow.
 */
export const loadFonts = (files: Record<string, number>): void => {
  for (const [family, file] of Object.entries(files)) {
    const face = new FontFace(family, `url("${Asset.fromModule(file).uri}")`, { display: 'swap' });
    document.fonts.add(face);
    // One that cannot be had is no reason to stop: the browser's own is read as well.
    face.load().catch(() => undefined);
  }
};
