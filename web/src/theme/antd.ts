import { theme as base, type ThemeConfig } from 'antd';
import { font, palettes, target, type, weight, type Variant } from './tokens.ts';

/** Ant Design's theme from our tokens. */
export function antdTheme(variant: Variant): ThemeConfig {
  const palette = palettes[variant];
  return {
    algorithm: variant === 'night' ? base.darkAlgorithm : base.defaultAlgorithm,
    token: {
      colorPrimary: palette.spring,
      colorInfo: palette.spring,
      colorSuccess: palette.spring,
      colorWarning: palette.ochre,
      colorError: palette.rust,
      colorLink: palette.spring,
      colorText: palette.ink,
      colorTextSecondary: palette.soft,
      colorTextTertiary: palette.soft,
      colorTextPlaceholder: palette.soft,
      colorTextDescription: palette.soft,
      colorBorder: palette.casing,
      colorBorderSecondary: palette.rule,
      colorBgBase: palette.ground,
      colorBgContainer: palette.raised,
      colorBgElevated: palette.raised,
      colorBgLayout: palette.ground,
      colorTextLightSolid: palette.onSpring,
      fontFamily: font,
      fontSize: type.base,
      fontWeightStrong: weight.strong,
      borderRadius: 3,
      controlHeight: 44,
      controlHeightLG: target + 4,
      lineWidth: 1,
      boxShadow: 'none',
      boxShadowSecondary: `0 0 0 1px ${palette.rule}`,
      motion: false,
    },
    components: {
      Button: { fontWeight: weight.strong, primaryShadow: 'none', defaultShadow: 'none', dangerShadow: 'none', paddingInlineLG: 24 },
      Segmented: {
        itemSelectedBg: palette.ink,
        itemSelectedColor: palette.ground,
        trackBg: palette.earth,
        itemColor: palette.ink,
        itemHoverColor: palette.ink,
      },
      Modal: { titleFontSize: type.lead },
    },
  };
}
