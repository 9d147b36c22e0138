/**
 * Has the page draw with these fonts, by family: addresses of files that ship with the app. Until one is there its words stand in the
 * browser's own. Through the page's list of fonts, so that no style stands in the page that its policy would have to allow.
 */
export const loadFonts = (files: Record<string, string>): void => {
  for (const [family, address] of Object.entries(files)) {
    const face = new FontFace(family, `url("${address}")`, { display: 'swap' });
    document.fonts.add(face);
    // One that cannot be had is no reason to stop: the browser's own is read as well.
    face.load().catch(() => undefined);
  }
};
