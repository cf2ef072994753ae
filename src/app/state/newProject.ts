// Apart, so that a page on which nothing is begun does not fetch what beginning needs.
export { blankProject } from '../../model';
