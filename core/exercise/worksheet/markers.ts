/** The dictionary that corner markers are from: 6 × 6 bits, any two at least 12 apart. S. Garrido-Jurado et al., "Generation of fiducial marker dictionaries using mixed integer linear programming", Pattern Recognition 51, 2016. */
export const MARKER_DICTIONARY = 'ARUCO_MIP_36h12'
