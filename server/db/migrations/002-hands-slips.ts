/** How the class counts on its hands, and the slips seen in each record (found again by replaying it). */
export default `
ALTER TABLE classroom ADD COLUMN hands TEXT NOT NULL DEFAULT '{}' CHECK (json_valid(hands));
ALTER TABLE record ADD COLUMN slips TEXT NOT NULL DEFAULT '[]' CHECK (json_valid(slips));
`
