package store

import "context"

// TamperForTest tries to rewrite history.
func (s *Store) TamperForTest(ctx context.Context) error {
	_, err := s.write.ExecContext(ctx, `UPDATE revisions SET body = '{}'`)
	return err
}

// Pragmas reads back what every connection should carry.
func (s *Store) Pragmas(ctx context.Context) (map[string]string, error) {
	out := map[string]string{}
	for _, name := range []string{"journal_mode", "foreign_keys", "busy_timeout", "synchronous"} {
		var v string
		if err := s.read.QueryRowContext(ctx, "PRAGMA "+name).Scan(&v); err != nil {
			return nil, err
		}
		out[name] = v
	}
	return out, nil
}
