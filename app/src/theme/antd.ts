import { theme, type ThemeConfig } from 'antd';
import type { Settings } from '@june-tide/core/record';

/** Ant Design's tokens, tamed to the sheet (day) and the room (night). Colours are those of look.css. */
export function antdTheme(light: Settings['light']): ThemeConfig {
  const day = light === 'day';
  return {
    // Its styles are made at the build: antdCss.ts.
    zeroRuntime: true,
    algorithm: day ? theme.defaultAlgorithm : theme.darkAlgorithm,
    token: {
      fontFamily: '"Archivo Variable", system-ui, sans-serif',
      fontSize: 14,
      borderRadius: 3,
      colorPrimary: day ? '#24282b' : '#e2ece4',
      colorInfo: day ? '#0f6353' : '#6fc7b4',
      colorError: day ? '#b5341e' : '#ff7a63',
      colorText: day ? '#24282b' : '#e2ece4',
      colorTextSecondary: day ? '#565852' : '#a9c3bb',
      colorTextPlaceholder: day ? '#6a675d' : '#a9c3bb',
      colorBgBase: day ? '#fdfbf6' : '#10292c',
      colorBgContainer: day ? '#fdfbf6' : '#0f2f32',
      // Drawers, popovers and lists that open: the sheet, and a wall a little nearer.
      colorBgElevated: day ? '#f6f2e8' : '#12373a',
      colorBorder: day ? '#827d6f' : '#5d8480',
      colorTextLightSolid: day ? '#fdfbf6' : '#0b2629',
      // A chosen line that is pointed at: made of the primary colour it would be dark on dark.
      controlItemBgActiveHover: day ? '#e6dfcf' : '#22555a',
      controlHeight: 36,
      motion: false,
      boxShadow: 'none',
      boxShadowSecondary: day ? '0 2px 10px rgba(36,40,43,0.18)' : '0 2px 14px rgba(0,0,0,0.5)',
    },
    components: {
      Button: { primaryShadow: 'none', defaultShadow: 'none', dangerShadow: 'none', fontWeight: 500 },
      Select: { optionSelectedBg: day ? '#efe9dc' : '#1b4547' },
      Segmented: {
        itemSelectedBg: day ? '#24282b' : '#e2ece4',
        itemSelectedColor: day ? '#fdfbf6' : '#0b2629',
        trackBg: day ? '#e6dfcf' : '#103033',
      },
    },
  };
}
