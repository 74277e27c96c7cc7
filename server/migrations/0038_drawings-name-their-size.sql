UPDATE `variant_figure` SET `drawing_key` = `drawing_key`
  || '-' || CAST(round(json_extract(`sketch`, '$.frame.widthMm') * 100) AS INTEGER)
  || 'x' || CAST(round(json_extract(`sketch`, '$.frame.heightMm') * 100) AS INTEGER)
WHERE `drawing_key` IS NOT NULL AND `sketch` IS NOT NULL;
