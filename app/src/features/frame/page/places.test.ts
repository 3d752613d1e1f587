import { ann, lea } from '@oilcan/core/testing';
import { placesFor } from './places';

describe('places', () => {
  it('are those the person has', () => {
    expect(placesFor(ann).map(({ word }) => word)).toEqual(['Shift', 'Plant', 'Stores']);
    expect(placesFor(lea).map(({ word }) => word)).toEqual(['Shift', 'Plant', 'Stores', 'Desk']);
  });
});

// WCAG 2.2, relative luminance and contrast ratio; 7:1 is success criterion 1.4.6, 4.5:1 is 1.4.3.
