package replica

import (
	"bytes"
	"context"
	"errors"
	"fmt"
	"io"
	"net/url"
	"os"
	"path"
	"strings"

	"github.com/aws/aws-sdk-go-v2/aws"
	"github.com/aws/aws-sdk-go-v2/credentials"
	"github.com/aws/aws-sdk-go-v2/service/s3"
	"github.com/aws/smithy-go"
	"github.com/benbjohnson/litestream"
	bucketclient "github.com/benbjohnson/litestream/s3"
)

// bucket is a place in a store that speaks S3. Its keys come from the environment, so that
// they stand in no command line.
type bucket struct {
	name, path, endpoint, region string
	id, secret                   string
	s3                           *s3.Client
}

// usualRegion is what a store of one's own is asked for where none is named.
const usualRegion = "us-east-1"

func openBucket(_ context.Context, u *url.URL) (place, error) {
	b := bucket{name: u.Host, path: strings.Trim(u.Path, "/"), endpoint: u.Query().Get("endpoint"), region: u.Query().Get("region"),
		id: os.Getenv("AWS_ACCESS_KEY_ID"), secret: os.Getenv("AWS_SECRET_ACCESS_KEY")}
	if b.id == "" || b.secret == "" {
		return nil, errors.New("where the copy goes: an S3 store needs AWS_ACCESS_KEY_ID and AWS_SECRET_ACCESS_KEY in the environment")
	}
	if b.region == "" {
		b.region = usualRegion
	}
	options := s3.Options{Region: b.region, Credentials: credentials.NewStaticCredentialsProvider(b.id, b.secret, "")}
	if b.endpoint != "" {
		options.BaseEndpoint, options.UsePathStyle = aws.String(b.endpoint), true
	}
	b.s3 = s3.New(options)
	return b, nil
}

func (b bucket) client(line string) litestream.ReplicaClient {
	c := bucketclient.NewReplicaClient()
	c.Bucket, c.Path, c.Endpoint, c.Region = b.name, path.Join(b.path, line), b.endpoint, b.region
	c.AccessKeyID, c.SecretAccessKey, c.ForcePathStyle = b.id, b.secret, b.endpoint != ""
	c.SetLogger(quiet())
	return c
}

func (b bucket) key(name string) *string { return aws.String(path.Join(b.path, name)) }

func (b bucket) get(ctx context.Context, name string) ([]byte, string, error) {
	out, err := b.s3.GetObject(ctx, &s3.GetObjectInput{Bucket: aws.String(b.name), Key: b.key(name)})
	if err != nil {
		if coded(err, "NoSuchKey", "NotFound") {
			return nil, "", os.ErrNotExist
		}
		return nil, "", fmt.Errorf("read at the place of the copy: %w", err)
	}
	defer out.Body.Close()
	body, err := io.ReadAll(io.LimitReader(out.Body, 1<<16))
	if err != nil {
		return nil, "", fmt.Errorf("read at the place of the copy: %w", err)
	}
	return body, aws.ToString(out.ETag), nil
}

func (b bucket) put(ctx context.Context, name string, body []byte, over string) (string, error) {
	// Stores that know no conditions are asked first; those that do decide at once.
	if _, tag, err := b.get(ctx, name); err != nil && !errors.Is(err, os.ErrNotExist) {
		return "", err
	} else if tag != over {
		return "", errChanged
	}
	in := &s3.PutObjectInput{Bucket: aws.String(b.name), Key: b.key(name), Body: bytes.NewReader(body)}
	if over == "" {
		in.IfNoneMatch = aws.String("*")
	} else {
		in.IfMatch = aws.String(over)
	}
	out, err := b.s3.PutObject(ctx, in)
	switch {
	case coded(err, "PreconditionFailed", "ConditionalRequestConflict"):
		return "", errChanged
	case err != nil:
		return "", fmt.Errorf("write at the place of the copy: %w", err)
	}
	return aws.ToString(out.ETag), nil
}

func coded(err error, codes ...string) bool {
	var answer smithy.APIError
	if !errors.As(err, &answer) {
		return false
	}
	for _, code := range codes {
		if answer.ErrorCode() == code {
			return true
		}
	}
	return false
}
