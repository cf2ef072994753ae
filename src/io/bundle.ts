import { strFromU8, strToU8, type UnzipFileInfo, unzipSync, zipSync } from 'fflate';
import {
  type DocumentResult,
  LARGEST_FILE,
  type Project,
  type Refused,
  readDocument,
  writeProject,
} from '../model';
import { say } from '../text/en/say/io';
import { refuse } from './refusal';

const PROJECT = 'project.json';
const PHOTOS = 'photos/';
/** Largest bundle, and what it may unfold to, bytes: a zip of zeros must not fill the memory. */
export const LARGEST_BUNDLE = 400_000_000;

/** A project with its pictures. */
export interface Bundle {
  readonly ok: true;
  readonly project: Project;
  readonly photos: ReadonlyMap<string, Uint8Array>;
  /** Names of pictures that the project speaks of and the file has not */
  readonly missing: readonly string[];
}

const photosOf = (project: Project) => project.entries.flatMap(({ photos }) => photos);

/** A project and its pictures as one zip; pictures are compressed already and only stored. */
export function writeBundle(project: Project, photos: ReadonlyMap<string, Uint8Array>): Uint8Array {
  const wanted = new Set(photosOf(project).map(({ id }) => id));
  const pictures = [...photos].filter(([id]) => wanted.has(id));
  return zipSync({
    [PROJECT]: [strToU8(writeProject(project)), { level: 6 }],
    ...Object.fromEntries(
      pictures.map(([id, bytes]) => [`${PHOTOS}${id}.jpg`, [bytes, { level: 0 }] as const]),
    ),
  });
}

/** Reads such a zip; whatever else is in it is left alone. */
export function readBundle(bytes: Uint8Array): Bundle | Refused {
  let size = 0;
  let tooLarge = false;
  const filter = ({ name, originalSize }: UnzipFileInfo): boolean => {
    if (name !== PROJECT && !name.startsWith(PHOTOS)) return false;
    size += originalSize;
    if (size > LARGEST_BUNDLE || (name === PROJECT && originalSize > LARGEST_FILE)) tooLarge = true;
    return !tooLarge;
  };
  let files: Record<string, Uint8Array>;
  try {
    files = unzipSync(bytes, { filter });
  } catch (error) {
    return refuse(say.noZip((error as Error).message));
  }
  if (tooLarge) return refuse(say.bundleTooLarge(LARGEST_BUNDLE / 1e6));
  const text = files[PROJECT];
  if (!text) return refuse(say.bundleWithoutProject(PROJECT));
  const read: DocumentResult = readDocument(strFromU8(text));
  if (!read.ok) return read;
  if (!('project' in read)) return refuse(say.bundleWithoutProject(PROJECT));
  const photos = new Map(
    Object.entries(files).flatMap(([name, own]) =>
      name.startsWith(PHOTOS) ? [[name.slice(PHOTOS.length).replace(/\.jpg$/, ''), own] as const] : [],
    ),
  );
  const missing = photosOf(read.project).flatMap(({ id, name }) => (photos.has(id) ? [] : [name]));
  return { ok: true, project: read.project, photos, missing };
}
