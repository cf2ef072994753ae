/** A use of the command that cannot be carried out; shown without a stack, exit code 2. */
export class CliError extends Error {}
