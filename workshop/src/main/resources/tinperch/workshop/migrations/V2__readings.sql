-- A reading is no longer always a length: its value carries no unit in its name.
UPDATE upgrade SET body = replace(body, '"valueMm":', '"value":');
UPDATE revision SET body = replace(body, '"valueMm":', '"value":');
