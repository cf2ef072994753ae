/** What server says: sentences only; the labels of its fields and columns stand with them. */
export const say = {
  serverDoesNotAnswer: 'This server does not answer to that name. Start it with HOST=NAME to add one.',
  onlyGetHeadAnswered: 'Only GET and HEAD are answered here.',
  thereNoSuchFile: 'There is no such file in this build. Reload the page.',
  hostMustNamesAddresses: (wrong: string) =>
    `HOST must be names or addresses, separated by commas; "${wrong}" is none.`,
  ferventKettleHttpCtrl: (hostname: string, port: number) =>
    `Fervent Kettle is at http://${hostname}:${port}/  (Ctrl+C ends it)`,
  onTheNetwork: (address: string, port: number) => `On this network: http://${address}:${port}/`,
  portTakenChooseAnother: (port: number, port2: number) =>
    `Port ${port} is taken. Choose another: PORT=${port2} npm start`,
  circuitHasNoLine: (name: string) => `The circuit ${name} has no line on Earth.`,
  streamsOpenAlreadyClose: (most: number) => `${most} streams are open already; close one of them first.`,
  portMustBe: (given: string) => `PORT must be a whole number from 1 to 65535, and is "${given}".`,
  benchTooLarge: (mb: number) => `More than ${mb} MB were sent; no project with a programme is that large.`,
  benchNeedsJson: 'A programme is sent as JSON: Content-Type: application/json.',
  benchNoPlan: (plan: string) => `The project has no plan “${plan}”.`,
  benchOfOther: 'The programme is not of this program:',
} as const;
