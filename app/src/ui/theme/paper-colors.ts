/**
 * The few colours that Paper's parts take from its older palette; the rest of that, which no part of ours uses, stays out of the
 * first screen. Names and values are Paper's own.
 */
export const black = '#000000';
export const white = '#ffffff';
export const pinkA400 = '#f50057';
export const pinkA100 = '#ff80ab';
export const grey50 = '#fafafa';
export const grey200 = '#eeeeee';
export const grey400 = '#bdbdbd';
export const grey700 = '#616161';
export const grey800 = '#424242';
