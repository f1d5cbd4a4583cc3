/*
 * A disk that keeps what was synced and nothing else (POSIX, fsync): loaded before a program (LD_PRELOAD), it writes down what
 * would still be there if the power went. POWER_ROOT is the folder that is watched, POWER_DISK where it is written down, on the
 * same file system:
 *   inodes/N   what the file with this inode had when it was last synced
 *   folders/P  the names in a folder when it was last synced, a line each: inode, "f" or "d", name; P is its path with % for /
 *   alive/N    a second name of the file, so that its inode is no other file's later
 */
#define _GNU_SOURCE
#include <dirent.h>
#include <dlfcn.h>
#include <errno.h>
#include <fcntl.h>
#include <limits.h>
#include <stdatomic.h>
#include <stdio.h>
#include <stdlib.h>
#include <string.h>
#include <sys/stat.h>
#include <unistd.h>

static atomic_uint drafts;

static int real(const char *name, int fd) {
  int (*sync)(int) = (int (*)(int))dlsym(RTLD_NEXT, name);
  return sync(fd);
}

/* The path of an open file below the root, or NULL: what follows the root, "" for the root itself. */
static const char *below(int fd, char *path, size_t size) {
  const char *root = getenv("POWER_ROOT");
  char link[64];
  snprintf(link, sizeof link, "/proc/self/fd/%d", fd);
  ssize_t length = readlink(link, path, size - 1);
  if (!root || length < 0) return NULL;
  path[length] = 0;
  size_t known = strlen(root);
  if (strncmp(path, root, known) != 0 || (path[known] != '/' && path[known] != 0)) return NULL;
  return path + known;
}

/* Keeps an inode from being given to another file. */
static void keep(const char *path, ino_t inode) {
  char name[PATH_MAX];
  snprintf(name, sizeof name, "%s/alive/%lu", getenv("POWER_DISK"), (unsigned long)inode);
  link(path, name);
}

static void copy(int fd, const char *path, FILE *to) {
  char bytes[65536];
  struct stat stat;
  fstat(fd, &stat);
  keep(path, stat.st_ino);
  for (off_t at = 0;;) {
    ssize_t count = pread(fd, bytes, sizeof bytes, at);
    if (count <= 0) break;
    fwrite(bytes, 1, count, to);
    at += count;
  }
}

static void list(const char *path, FILE *to) {
  DIR *folder = opendir(path);
  char name[PATH_MAX];
  struct stat stat;
  for (struct dirent *one; folder && (one = readdir(folder));) {
    if (strcmp(one->d_name, ".") == 0 || strcmp(one->d_name, "..") == 0) continue;
    snprintf(name, sizeof name, "%s/%s", path, one->d_name);
    if (lstat(name, &stat) != 0) continue;
    if (!S_ISDIR(stat.st_mode)) keep(name, stat.st_ino);
    fprintf(to, "%lu %c %s\n", (unsigned long)stat.st_ino, S_ISDIR(stat.st_mode) ? 'd' : 'f', one->d_name);
  }
  if (folder) closedir(folder);
}

static int synced(const char *how, int fd) {
  char path[PATH_MAX], draft[PATH_MAX], name[PATH_MAX], flat[PATH_MAX];
  const char *rest = below(fd, path, sizeof path), *disk = getenv("POWER_DISK");
  struct stat stat;
  if (!rest || !disk || fstat(fd, &stat) != 0) return real(how, fd);
  snprintf(draft, sizeof draft, "%s/draft-%d-%u", disk, (int)getpid(), atomic_fetch_add(&drafts, 1));
  /* What was written before is synced; what comes meanwhile may not be. */
  FILE *to = fopen(draft, "w");
  if (!to) return real(how, fd);
  if (S_ISDIR(stat.st_mode)) {
    list(path, to);
    snprintf(flat, sizeof flat, "%s", rest);
    for (char *sign = flat; *sign; sign++)
      if (*sign == '/') *sign = '%';
    snprintf(name, sizeof name, "%s/folders/root%s", disk, flat);
  } else {
    /* Who may only write may not read by the same descriptor. */
    int reading = open(path, O_RDONLY);
    copy(reading, path, to);
    close(reading);
    snprintf(name, sizeof name, "%s/inodes/%lu", disk, (unsigned long)stat.st_ino);
  }
  fclose(to);
  int result = real(how, fd), problem = errno;
  if (result == 0) rename(draft, name);
  errno = problem;
  return result;
}

int fsync(int fd) { return synced("fsync", fd); }
int fdatasync(int fd) { return synced("fdatasync", fd); }
